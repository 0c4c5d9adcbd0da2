<?php

declare(strict_types=1);

namespace Tools\Trial;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Slot;
use App\Models\Stations\Station;
use App\Runs\Filing\UnfiledResult;
use App\Runs\Ordering\OrderRun;
use App\Runs\Ordering\RunOrder;
use Illuminate\Support\Facades\DB;
use Random\Randomizer;
use RuntimeException;
use Tally\Probe\SpeedPlan;
use Tally\Quantity\Bytes;
use Tally\Record\CopyParameters;
use Tally\Record\ProofParameters;
use Tally\Record\RunKind;
use Tally\Record\SizeParameters;
use Tally\Record\SpeedParameters;
use Tally\Verdict\VerdictKind;

/**
 * Honest cards on real loop devices and mounts, runs by real workers, and at a random moment of each something goes wrong.
 * Whatever that is: nothing is lost, nothing is erased that was not meant, and no honest card is convicted.
 */
final class FaultTrial
{
    /** Seconds that a round may take after all is well again. */
    private const PATIENCE = 120;

    /** Proofs are gone on with as often as this. */
    private const TRIES = 4;

    private readonly FaultScene $scene;

    private readonly HomeTrial $offloads;

    private int $count = 0;

    private int $rounds = 0;

    public function __construct(private readonly string $folder, private readonly Randomizer $chance, float $away)
    {
        $this->scene = new FaultScene($folder, $chance, $away);
        $this->offloads = new HomeTrial($folder, $chance, $this->scene->station);
    }

    /** Every second one is an offload. */
    public function round(): Round
    {
        return $this->rounds++ % 2 === 0 ? $this->offloads->round() : $this->run();
    }

    private function run(): Round
    {
        [$what, $kind] = $this->pick([
            ['proof', RunKind::Proof],
            ['raw proof', RunKind::Proof],
            ['speed run', RunKind::Speed],
            ['sustained run', RunKind::Sustained],
            ['copy', RunKind::Copy],
        ]);
        $fault = $this->pick(
            array_values(
                array_filter(
                    Fault::cases(),
                    fn (Fault $one): bool => match ($one) {
                        Fault::Unmounted, Fault::Filled, Fault::ReadOnly, Fault::ReadErrors => $what !== 'raw proof',
                        Fault::Repointed => $what === 'raw proof',
                        default => true,
                    },
                ),
            ),
        );
        $card = $this->card($what === 'raw proof' ? FaultScene::RAW : FaultScene::CARD);
        $run = $this->order($card, $what, $kind);
        // Some before a worker has it, most while it works.
        if ($this->chance->getInt(0, 4) > 0) {
            $this->until(fn (): bool => Run::query()->whereKey($run->id)->whereNotNull('started_at')->exists(), 8);
        }
        $this->scene->wait($this->chance->getInt(0, 1500) / 1000);
        $this->scene->befall($fault, $what);
        $this->scene->restore();
        $faults = [];
        for ($tries = 0; $tries < self::TRIES; $tries++) {
            $state = $this->ended($run);
            $faults = [...$faults, ...$this->lookedAt($run, $state, $card, $fault)];
            if (! $this->goesOn($run, $state)) {
                break;
            }
        }

        Shell::may("rm -rf {$this->folder}/drive/F-*");
        $this->scene->restore();
        // A proof that can go on keeps the rest of its card; the next round has another card at the same place.
        Shell::may("find {$this->folder}/bay -mindepth 1 -maxdepth 1 ! -name DCIM ! -name lost+found -exec rm -rf {} +");

        return new Round(
            $what,
            $fault->value,
            ($state ?? RunState::Running)->value,
            array_values(array_unique([...$faults, ...$this->scene->untouched()])),
        );
    }

    public function end(): void
    {
        $this->scene->station->end();
        $this->offloads->end();
        $this->scene->end();
    }

    private function card(int $megabytes): Card
    {
        return Card::query()
            ->create([
                'tag' => 'F-'.++$this->count,
                'name' => 'honest',
                'form' => 'sd',
                'capacity' => $megabytes << 20,
                'family' => 'SD',
                'marks' => [],
            ])
            ->refresh();
    }

    private function order(Card $card, string $what, RunKind $kind): Run
    {
        $station = Station::mustBeHere();
        $slot = $station->slot(
            Slot::query()
                ->where('name', $what === 'raw proof' ? 'Raw 1' : 'Bay 1')
                ->firstOrFail()->id,
        );
        $into = "{$this->folder}/drive/{$card->tag}";
        @mkdir($into);
        $parameters = match ($kind) {
            RunKind::Proof => new ProofParameters($what === 'proof' ? Bytes::of(360_000_000) : null, tag: $card->tag, why: 'a trial'),
            RunKind::Speed => new SpeedParameters(SpeedPlan::plain(Bytes::of(64_000_000), 5)),
            RunKind::Copy => new CopyParameters("{$this->folder}/bay/DCIM", $into, true),
            default => new SizeParameters(Bytes::of(360_000_000)),
        };

        return app(OrderRun::class)->order($card, $station, new RunOrder($slot, $kind, $parameters, by: 'the trial'));
    }

    private function ended(Run $run): RunState
    {
        for ($end = hrtime(true) + self::PATIENCE * 1e9; hrtime(true) < $end; $this->scene->wait(0.2)) {
            $state = Run::query()->whereKey($run->id)->firstOrFail()->state;
            if (! $state->isGoing()) {
                return $state;
            }
            // A job that a killed worker had taken is put back by the lookout; here nobody waits a minute for that.
            if ($state === RunState::Waiting) {
                DB::table('jobs')
                    ->where('reserved_at', '<', now()->subSeconds(5)->getTimestamp())
                    ->update(['reserved_at' => null]);
            }
        }

        return RunState::Running;
    }

    /** @return list<string> */
    private function lookedAt(Run $run, RunState $state, Card $card, Fault $fault): array
    {
        $run->refresh();
        $verdict = $card->refresh()->verdict;
        // One that did give errors is shaky, and no sham for it.
        $wrong = $fault === Fault::ReadErrors ? [VerdictKind::Sham] : [VerdictKind::Sham, VerdictKind::Shaky];

        return array_values(
            array_filter(
                [
                    $state->isGoing() ? "lost: {$run->name()} never ended" : null,
                    $state === RunState::Done && $run->result === null ? "lost: {$run->name()} is done and has no result" : null,
                    in_array($verdict, $wrong, true)
                        ? "convicted: {$card->tag} is {$verdict->value} ({$run->message})"
                        : null,
                    $state === RunState::Failed && $fault === Fault::None ? "lost: {$run->name()} failed ({$run->message})" : null,
                    $this->stillWaits() ? 'lost: a result still waits on the disk' : null,
                ],
                is_string(...),
            ),
        );
    }

    /** A result leaves the disk a moment after it is in the books. */
    private function stillWaits(): bool
    {
        $this->until(fn (): bool => UnfiledResult::waiting() === [], 5);

        return UnfiledResult::waiting() !== [];
    }

    private function goesOn(Run $run, RunState $state): bool
    {
        if ($state === RunState::Done || ! $run->refresh()->canContinue()) {
            return false;
        }
        app(OrderRun::class)->goOn($run);

        return true;
    }

    /** @param  callable(): bool  $is */
    private function until(callable $is, float $seconds): void
    {
        for ($end = hrtime(true) + $seconds * 1e9; hrtime(true) < $end && ! $is(); $this->scene->wait(0.05)) {
        }
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>|list<T>  $of
     * @return T
     */
    private function pick(array $of): mixed
    {
        return $of === [] ? throw new RuntimeException('Nothing to choose from.') : $of[$this->chance->getInt(0, count($of) - 1)];
    }
}
