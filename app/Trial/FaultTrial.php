<?php

declare(strict_types=1);

namespace App\Trial;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Stations\Slot;
use App\Models\Stations\Station;
use App\Runs\Filing\UnfiledResult;
use App\Runs\Ordering\RunDesk;
use App\Runs\Ordering\RunOrder;
use App\Runs\RunState;
use Database\Seeders\DemoGear;
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
    /** Megabytes: so large that a run takes a second or two. */
    private const CARD = 640;

    private const RAW = 320;

    private const DRIVE = 640;

    /** Seconds that a round may take after all is well again. */
    private const PATIENCE = 120;

    /** Proofs are gone on with as often as this. */
    private const TRIES = 4;

    private readonly ScratchDatabase $database;

    private readonly TrialStation $station;

    private readonly TrialStation $second;

    private readonly HomeTrial $offloads;

    private readonly Place $bay;

    private readonly Place $drive;

    private readonly Place $raw;

    private readonly Place $decoy;

    private int $count = 0;

    private int $rounds = 0;

    /** @var array<string, string> what must stay as it is: path → checksum */
    private array $kept = [];

    public function __construct(private readonly string $folder, private readonly Randomizer $chance, private readonly float $away)
    {
        $this->database = new ScratchDatabase("{$folder}/books");
        $this->database->begin();
        (new DemoGear())->run();
        $this->bay = new Place("{$folder}/bay.img", self::CARD, "{$folder}/bay");
        $this->drive = new Place("{$folder}/drive.img", self::DRIVE, "{$folder}/drive");
        $this->raw = new Place("{$folder}/raw.img", self::RAW, null);
        $this->decoy = new Place("{$folder}/decoy.img", self::RAW, null);
        symlink($this->raw->loop, "{$folder}/slot");
        $this->lay();
        config(['tally.folders' => [$folder], 'tally.plain_folders' => []]);
        Slot::query()
            ->where('name', 'Bay 1')
            ->update(['path' => "{$folder}/bay"]);
        Slot::query()
            ->where('name', 'Raw 1')
            ->update(['path' => "{$folder}/slot"]);
        // A disk of its own, that can be filled up.
        Shell::must("mkdir {$folder}/storage && mount -t tmpfs -o size=32m none {$folder}/storage");
        Shell::must("cd {$folder}/storage && mkdir -p app/private framework/cache/data framework/views logs");
        app()->useStoragePath("{$folder}/storage");
        $env = [...$this->database->env(), 'TALLY_FOLDERS' => $folder, 'TALLY_PLAIN_FOLDERS' => ''];
        $this->station = new TrialStation([...$env, 'LARAVEL_STORAGE_PATH' => "{$folder}/storage"]);
        // As one forgotten line in .env makes it.
        Shell::must("mkdir -p {$folder}/second && cp -r {$folder}/storage/. {$folder}/second");
        $this->second = new TrialStation([...$env, 'LARAVEL_STORAGE_PATH' => "{$folder}/second"]);
        $this->station->keep();
        $this->offloads = new HomeTrial($folder, $chance, $this->station);
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
                        Fault::Unmounted, Fault::Filled, Fault::ReadOnly => $what !== 'raw proof',
                        Fault::Repointed => $what === 'raw proof',
                        Fault::ReadErrors => $what !== 'copy',
                        default => true,
                    },
                ),
            ),
        );
        $card = $this->card($what === 'raw proof' ? self::RAW : self::CARD);
        $run = $this->order($card, $what, $kind);
        // Some before a worker has it, most while it works.
        if ($this->chance->getInt(0, 4) > 0) {
            $this->until(fn (): bool => Run::query()->whereKey($run->id)->whereNotNull('started_at')->exists(), 8);
        }
        $this->wait($this->chance->getInt(0, 1500) / 1000);
        $this->befall($fault, $what);
        $this->restore();
        $faults = [];
        for ($tries = 0; $tries < self::TRIES; $tries++) {
            $state = $this->ended($run);
            $faults = [...$faults, ...$this->lookedAt($run, $state, $card, $fault)];
            if (! $this->goesOn($run, $state)) {
                break;
            }
        }

        Shell::may("rm -rf {$this->folder}/drive/F-*");
        $this->restore();
        // A proof that can go on keeps the rest of its card; the next round has another card at the same place.
        Shell::may("find {$this->folder}/bay -mindepth 1 -maxdepth 1 ! -name DCIM ! -name lost+found -exec rm -rf {} +");

        return new Round(
            $what,
            $fault->value,
            ($state ?? RunState::Running)->value,
            array_values(array_unique([...$faults, ...$this->untouched()])),
        );
    }

    public function end(): void
    {
        $this->second->stop();
        $this->station->end();
        $this->offloads->end();
        $this->database->start();
        foreach ([$this->bay, $this->drive, $this->raw, $this->decoy] as $place) {
            $place->remove();
        }
        Shell::may("umount -l {$this->folder}/storage");
        $this->database->end();
    }

    /** What nobody may touch: a file on the card, files to be copied, and a medium that a link may be made to lead to. */
    private function lay(): void
    {
        @mkdir("{$this->folder}/bay/DCIM");
        for ($i = 1; $i <= 12; $i++) {
            file_put_contents($file = "{$this->folder}/bay/DCIM/clip{$i}.mov", random_bytes(16_000_000 + $i));
            $this->kept[$file] = (string) hash_file('xxh128', $file);
        }
        file_put_contents($this->decoy->image, str_repeat('footage!', self::RAW << 17));
        $this->kept[$this->decoy->image] = (string) hash_file('xxh128', $this->decoy->image);
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

        return app(RunDesk::class)->order($card, $station, new RunOrder($slot, $kind, $parameters, by: 'the trial'));
    }

    private function befall(Fault $fault, string $what): void
    {
        $place = $what === 'copy' && $this->chance->getInt(0, 1) === 1 ? $this->drive : $this->bay;
        match ($fault) {
            Fault::None => null,
            Fault::Killed => $this->station->kill(),
            Fault::Unmounted => $place->pull(),
            Fault::Filled => $place->fill(),
            Fault::ReadOnly => $place->turnReadOnly(),
            Fault::Repointed => $this->point($this->decoy),
            Fault::DatabaseAway => $this->takeDatabaseAway(),
            Fault::ReadErrors => ($what === 'raw proof' ? $this->raw : $this->bay)->turnBad(),
            Fault::StationDiskFull => $this->fillStationDisk(),
            Fault::SameName => $this->openSecond(),
        };
        if (in_array($fault, [Fault::Unmounted, Fault::Filled, Fault::ReadOnly, Fault::Repointed, Fault::ReadErrors], true)) {
            $this->wait(1.5);
        }
    }

    private function takeDatabaseAway(): void
    {
        $this->database->stop();
        $this->wait($this->away);
        $this->database->start();
    }

    private function fillStationDisk(): void
    {
        Shell::may("dd if=/dev/zero of={$this->folder}/storage/taken bs=4k");
        $this->wait($this->chance->getInt(500, 4000) / 1000);
        Shell::must("rm {$this->folder}/storage/taken");
    }

    /** Begun again and again, as the supervisor of that folder does. */
    private function openSecond(): void
    {
        for ($end = hrtime(true) + 4e9; hrtime(true) < $end; $this->wait(0.2)) {
            $this->second->keep();
        }
        $this->second->stop();
    }

    private function point(Place $place): void
    {
        // In one step, so that the link is never missing.
        @unlink("{$this->folder}/slot.new");
        symlink($place->loop, "{$this->folder}/slot.new");
        rename("{$this->folder}/slot.new", "{$this->folder}/slot");
    }

    private function restore(): void
    {
        DB::disconnect();
        $this->point($this->raw);
        $this->raw->makeGood();
        if ($this->bay->makeGood()) {
            $this->lay();
        }
        foreach ([$this->bay, $this->drive] as $place) {
            $place->makeRoom();
            if (
                ! $place->isMounted() ||
                ! is_writable((string) $place->point) ||
                str_contains(Shell::must("findmnt -no OPTIONS {$place->point}"), 'ro,') ||
                str_starts_with(Shell::must("findmnt -no OPTIONS {$place->point}"), 'ro')
            ) {
                $place->restore();
            }
        }
    }

    private function ended(Run $run): RunState
    {
        for ($end = hrtime(true) + self::PATIENCE * 1e9; hrtime(true) < $end; $this->wait(0.2)) {
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
        app(RunDesk::class)->goOn($run);

        return true;
    }

    /** @return list<string> */
    private function untouched(): array
    {
        $faults = [];
        foreach ($this->kept as $file => $sum) {
            if (! is_file($file) || hash_file('xxh128', $file) !== $sum) {
                $faults[] = 'erased: '.basename($file);
            }
        }
        // Under a card that was pulled lies the host's own disk.
        foreach ([$this->bay, $this->drive] as $place) {
            $place->pull();
            $left = scandir((string) $place->point);
            if ($left === false || count($left) > 2) {
                $faults[] = 'written to the host: '.implode(', ', array_slice($left === false ? [] : $left, 2));
            }
            $place->mount();
        }

        return $faults;
    }

    /** @param  callable(): bool  $is */
    private function until(callable $is, float $seconds): void
    {
        for ($end = hrtime(true) + $seconds * 1e9; hrtime(true) < $end && ! $is(); $this->wait(0.05)) {
        }
    }

    private function wait(float $seconds): void
    {
        for ($end = hrtime(true) + $seconds * 1e9; hrtime(true) < $end; usleep(50_000)) {
            $this->station->keep();
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
