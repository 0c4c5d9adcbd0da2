<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Evidence\CardEvidence;
use App\Gear\ChainBuilder;
use App\Gear\SlotPath;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Stations\Contents;
use App\Models\Stations\Part;
use App\Models\Stations\Slot;
use App\Models\Stations\SlotKind;
use App\Models\Stations\Station;
use App\Offload\Carrying\Secured;
use App\Runs\Ordering\RunOrder;
use App\Stations\SlotLook;
use Illuminate\Support\Collection;
use Tally\Chain\Path;
use Tally\Device\HeldFolder;
use Tally\Device\Host\RealPath;
use Tally\Device\Mount;
use Tally\Evidence\SpeedEvidence;
use Tally\Label\Label;
use Tally\Probe\Forecast;
use Tally\Probe\Screen\Advice;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Probe\SmallFiles;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Reading\Condition;
use Tally\Reading\Coverage;
use Tally\Record\FilesParameters;
use Tally\Record\ProofParameters;
use Tally\Record\ProofRecord;
use Tally\Record\RunKind;
use Tally\Record\SizeParameters;
use Tally\Record\SpeedParameters;
use Tally\Simulated\SimulatedChoice;
use Tally\Verdict\Step;

/**
 * What can be ordered for a card, and what is on its way.
 *
 * @phpstan-type ProgressProps array{ // How far a run has come.
 *     phase: string,
 *     run: int,
 *     at: int,
 *     of: int,
 *     share: float, // 0 to 1
 *     rate: float|null, // bytes a second just now
 *     left: string|null, // time left, in words
 * }
 * @phpstan-type ProvingWaysProps array{ // Both ways of proving side by side, and which of them suits the card now.
 *     proof: ProvingWayProps,
 *     screen: ProvingWayProps,
 *     recommended: string, // proof or screen
 *     reason: string,
 * }
 * @phpstan-type RunningProps array{ // A run that goes on or waits.
 *     id: int,
 *     kind: string, // “speed run” or “full proof”
 *     waiting: bool,
 *     stopping: bool,
 *     runs: int, // of how many
 *     progress: ProgressProps|null,
 *     away: string|null, // the bench it waits for, while that is away
 * }
 * @phpstan-type SimulatedProps array{ // A made-up card that can be put into a stand-in slot.
 *     key: string,
 *     words: string,
 * }
 * @phpstan-type ProvingWayProps array{ // One of the two ways of proving a card, in words.
 *     expected: string,
 *     writes: string,
 *     proves: string,
 *     leaves: string,
 * }
 */
final readonly class Orders
{
    /**
     * @param  list<SlotPath>  $paths  of the card, the fastest first
     * @param  Collection<int, Run>  $before  the card's runs so far
     * @param  Bytes  $size  of each run
     */
    public static function for(Card $card, array $paths, Collection $before, Bytes $size, int $runs): OrderProps
    {
        $speeds = CardEvidence::speeds($before);
        $label = $card->label();

        return new OrderProps(
            array_map(
                fn (SlotPath $one): SlotProps => self::slot($card, $one->slot, $one->path, $size, runs: $runs, speeds: $speeds),
                $paths,
            ),
            $card->stand_in !== null
                ? []
                : array_map(
                    fn (SimulatedChoice $one): array => ['key' => $one->value, 'words' => $one->words()],
                    SimulatedChoice::cases(),
                ),
            $before->last(fn (Run $run): bool => $run->slot_id !== null)?->slot_id,
            $before->last(fn (Run $run): bool => $run->counts() && $run->proof() !== null)?->proof()?->diagnosis->condition ===
                Condition::Refuses,
            unsecured: $card->footage->isZero() || Secured::of($card) !== null ? null : $card->footage->decimal(),
        );
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return RunningProps|null
     */
    public static function running(Collection $runs): ?array
    {
        $run = $runs->last(fn (Run $run): bool => $run->state->isGoing());
        if ($run === null) {
            return null;
        }
        $progress = $run->progress;

        return [
            'id' => $run->id,
            'kind' => $run->kind->label(),
            'waiting' => $run->started_at === null,
            'stopping' => $run->stop_requested,
            'runs' => $run->parameters->rounds(),
            'progress' => $progress === null
                ? null
                : [
                    'phase' => $progress->phase->value,
                    'run' => $progress->run,
                    'at' => $progress->at,
                    'of' => $progress->of,
                    'share' => $progress->share(),
                    'rate' => $progress->rate,
                    'left' => $progress->left() === null ? null : Span::seconds($progress->left())->print(),
                ],
            'away' => self::away($run),
        ];
    }

    private static function away(Run $run): ?string
    {
        $station = $run->started_at === null ? Station::query()->whereKey($run->station_id)->first() : null;

        return $station === null || $station->hasWorker() ? null : $station->name;
    }

    /**
     * @param  Collection<int, Run>  $before
     * @return string|null in words; null where nothing can be told
     */
    public static function expected(Card $card, Collection $before, RunOrder $order): ?string
    {
        $label = $card->label();
        $path = ChainBuilder::path($label, $order->slot);
        if ($path === null) {
            return null;
        }
        $forecast = self::forecast($label, $path, CardEvidence::speeds($before));
        [$asked, $whole] = [$order->parameters, $card->capacity];

        $span = match (true) {
            $asked instanceof SpeedParameters => $forecast->ofSpeed($asked->plan),
            $asked instanceof FilesParameters => $forecast->ofFiles($asked->files, Bytes::of(SmallFiles::EACH), $asked->runs),
            $asked instanceof SizeParameters => $forecast->ofWriting($asked->size ?? $whole),
            $asked instanceof ProofParameters && $order->kind === RunKind::Screen => $forecast->ofScreen(
                new ScreenPlan($asked->size ?? $whole, $asked->points),
            ),
            $asked instanceof ProofParameters => $forecast->for($asked->size ?? $whole),
            default => null,
        };

        return $span?->print();
    }

    /**
     * Both ways of proving side by side, as they would go where the card was last, or where it goes best.
     *
     * @param  list<SlotPath>  $paths  of the card, the fastest first
     * @param  Collection<int, Run>  $before
     * @return ProvingWaysProps|null
     */
    public static function provingWays(Card $card, array $paths, Collection $before): ?array
    {
        $last = $before->last(fn (Run $run): bool => $run->slot_id !== null)?->slot_id;
        $taking = collect($paths)->filter(fn (SlotPath $one): bool => $one->path !== null);
        // Where it was last counts before what is fast.
        $path = ($taking->first(fn (SlotPath $one): bool => $one->slot->id === $last) ?? $taking->first())?->path;
        if ($path === null) {
            return null;
        }
        $forecast = self::forecast($card->label(), $path, CardEvidence::speeds($before));
        $size = $card->capacity;
        $plan = new ScreenPlan($size);
        [$proof, $screen] = [$forecast->for($size), $forecast->ofScreen($plan)];
        $proofs = $before
            ->filter(fn (Run $run): bool => $run->kind->isProof() && $run->counts())
            ->map(fn (Run $run): ?ProofRecord => $run->proof())
            ->filter();
        $newest = $proofs->last(fn (ProofRecord $record): bool => $record->screen === null) ?? $proofs->last();
        $advice = Advice::of(
            $proof,
            $screen,
            $newest?->nature(),
            $newest?->isOnlyScreened() === true,
            isWhole: $newest?->isWhole() === true,
            isAskedAgain: $card->next_step === Step::ProveAgain,
        );
        $coverage = new Coverage(count($plan->drawn()));

        return [
            'proof' => [
                'expected' => $proof->print(),
                'writes' => $size->decimal(),
                'proves' => 'Every block, to the sector: how it fails, and what it keeps.',
                'leaves' => 'Nothing of the medium itself. How it ages.',
            ],
            'screen' => [
                'expected' => $screen->print(),
                'writes' => $plan->total()->decimal(),
                'proves' => $coverage->caught(),
                'leaves' => 'Every block that is not stamped, and small bad spots.',
            ],
            'recommended' => $advice->screenFirst ? 'screen' : 'proof',
            'reason' => $advice->reason,
        ];
    }

    /** @param  list<SpeedEvidence>  $speeds */
    private static function slot(Card $card, Slot $slot, ?Path $path, Bytes $size, int $runs, array $speeds): SlotProps
    {
        $label = $card->label();

        return new SlotProps(
            $slot->id,
            $slot->name,
            $slot->kind,
            $slot->kind === SlotKind::Raw ? self::lies($slot) : null,
            refusal: $path === null ? "{$slot->reader->tag} does not take {$label->connection()}" : null,
            chain: $path?->describe() ?? '',
            pinch: $path?->pinch()->describe() ?? '',
            plain: self::plain($card, $slot),
            expected: $path === null ? null : self::forecast($label, $path, $speeds)->for($size, $runs)->print(),
        );
    }

    /** @return string|null of a folder on this computer: that it is no card, and how much is written there at the most */
    public static function plain(Card $card, Slot $slot): ?string
    {
        $real = $slot->kind === SlotKind::Folder ? RealPath::of($slot->path ?? '') : null;
        if ($real === null || ! Mount::of($real)->isHostsOwn()) {
            return null;
        }
        $most = Bytes::of((int) (HeldFolder::MARGIN * $card->capacity->count))->decimal();

        return "a folder on this computer, not a card: what is run there judges nothing. At most {$most} are written, and room is left on ".
            'the disk.';
    }

    /** What would be erased. */
    private static function lies(Slot $slot): LiesProps
    {
        $seen = app(SlotLook::class)->shown($slot);
        $medium = $seen->medium;

        return new LiesProps(
            $medium === null
                ? "{$slot->path}: {$seen->refused}"
                : ($slot->path === $medium->real ? '' : "{$slot->path}, which leads to ").
                    "{$medium->called()}, {$medium->bytes->decimal()}",
            $medium?->token(),
            $medium === null
                ? []
                : array_values(
                    array_filter(
                        [
                            $medium->serial === null ? null : "Its own serial number: {$medium->serial}",
                            $medium->name === null ? null : "Known to the host as {$medium->name}",
                            ...array_map(fn (Part $part): string => ucfirst(Contents::words($part)), $seen->parts),
                            $seen->parts === [] ? 'What is on it was not looked at yet.' : null,
                        ],
                        is_string(...),
                    ),
                ),
        );
    }

    /**
     * From the newest trusted run; before there is one from the label, its claims or else its floor. Never more than the
     * chain gives.
     *
     * @param  list<SpeedEvidence>  $speeds
     */
    private static function forecast(Label $label, Path $path, array $speeds): Forecast
    {
        $write = $label->write ?? ($label->topMark()?->floor() ?? Rate::megabytesPerSecond(10));
        $read = $label->readClaim() ?? $path->usable();
        foreach ($speeds as $speed) {
            $reading = $speed->reading($label);
            $write = $reading->write?->isTrusted() === true ? $reading->write->median() : $write;
            $read = $reading->read?->isTrusted() === true ? $reading->read->median() : $read;
        }
        $limit = fn (Rate $rate): Rate => $path->usable()->isBelow($rate) ? $path->usable() : $rate;

        return new Forecast($limit($write), $limit($read));
    }
}
