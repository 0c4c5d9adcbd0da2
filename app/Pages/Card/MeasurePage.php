<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Gear\ReaderReach;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Slot;
use App\Pages\Page;
use Illuminate\Support\Collection;
use Tally\Evidence\SpeedReading;
use Tally\Reading\Suspicion;
use Tally\Reading\WayReading;
use Tally\Record\FilesRecord;
use Tally\Record\RunKind;
use Tally\Record\RunSource;
use Tally\Record\SpeedRecord;

/**
 * The claim line and the table of runs.
 *
 * @phpstan-import-type CardProps from CardHeading
 * @phpstan-import-type ClaimLineProps from ClaimPicture
 * @phpstan-import-type CourseProps from CoursePicture
 * @phpstan-import-type MarginProps from Margin
 * @phpstan-import-type RunningProps from Orders
 *
 * @phpstan-type RunProps array{ // A row of the table of runs. Speeds in MB/s.
 *     id: int,
 *     kind: RunKind,
 *     name: string, // of its kind, as it is said
 *     state: RunState,
 *     chain: string,
 *     region: string,
 *     write: float|null,
 *     read: float|null,
 *     variation: float|null,
 *     note: string,
 *     struck: bool, // not trusted, and out of every verdict
 * }
 */
final readonly class MeasurePage extends Page
{
    /**
     * @param  list<RunProps>  $runs
     * @param  CardProps  $card
     * @param  ClaimLineProps  $claimLine
     * @param  CourseProps|null  $course
     * @param  RunningProps|null  $running
     * @param  MarginProps  $margin
     */
    public function __construct(
        public array $card,
        public array $claimLine,
        public ?array $course,
        public array $runs,
        public ?array $running,
        public OrderProps $order,
        public array $margin,
    ) {}

    /**
     * @param  Collection<int, Run>  $runs
     * @return ClaimLineProps
     */
    public static function claimLine(Card $card, Collection $runs): array
    {
        $label = $card->label();
        $counting = $runs->filter(fn (Run $run): bool => $run->speeds()?->hasSpeeds() === true && $run->counts());
        // A number that nobody trusts is shown only while there is no other.
        $run = $counting->last(fn (Run $run): bool => self::isTrusted($run->reading($label))) ?? $counting->last();
        $reading = $run?->reading($label, fn (): array => ReaderReach::besides($card));
        $caption = $run === null || $reading === null ? null : self::caption($run, $reading);

        return ClaimPicture::of($label, $reading, $run?->speeds(), $caption);
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<RunProps> the newest first
     */
    public static function table(Card $card, Collection $runs): array
    {
        return array_values(
            $runs
                ->reverse()
                ->reject(fn (Run $run): bool => $run->state->isGoing())
                ->map(
                    fn (Run $run): array => match ($run->kind) {
                        RunKind::Speed => self::speedRow($card, $run),
                        RunKind::Sustained => self::sustainedRow($run),
                        RunKind::Files => self::plainRow(
                            $run,
                            implode(' ', $run->result instanceof FilesRecord ? array_slice(RunPage::files($run->result->result), 1) : []),
                        ),
                        RunKind::Copy => self::copyRow($card, $run),
                        RunKind::Proof, RunKind::Screen => self::proofRow($run),
                    },
                )
                ->all(),
        );
    }

    /** Whether no number of it is under suspicion. */
    private static function isTrusted(?SpeedReading $reading): bool
    {
        return array_filter($reading?->ways() ?? [], fn (WayReading $way): bool => ! $way->isTrusted()) === [];
    }

    private static function caption(Run $run, SpeedReading $reading): string
    {
        [$writes, $reads] = [$reading->write->summary->count ?? 0, $reading->read->summary->count ?? 0];
        $count = fn (int $times, string $of): string => $times === 0 ? '' : ($times === 1 ? "one {$of}" : "{$times} {$of}s");
        $times = match (true) {
            $writes === 1 && $reads === 1 => 'a single look',
            $writes === $reads => "{$writes} runs each way",
            default => implode(
                ', ',
                array_filter([$count($writes, 'write'), $count($reads, 'read')], fn (string $part): bool => $part !== ''),
            ),
        };

        return "{$times}, {$run->speeds()?->covers()}, {$run->name()}".($run->state === RunState::Done ? '' : " ({$run->state->value})");
    }

    /** @return RunProps */
    private static function speedRow(Card $card, Run $run): array
    {
        $speeds = $run->speeds()?->hasSpeeds() === true ? $run->speeds() : null;
        $reading = $speeds === null ? null : $run->reading($card->label());
        $ways = array_values($reading?->ways() ?? []);
        $suspect = array_filter($ways, fn (WayReading $way): bool => ! $way->isTrusted());
        $notes = array_filter(
            [
                $run->message,
                ...array_map(fn (WayReading $way): string => $way->why(), $suspect),
                $reading?->write?->summary->isSingleLook() === true ? 'a single look' : null,
                $reading?->write?->summary->isUnsteady() === true ? 'unsteady: run again' : null,
                ...array_map(fn (WayReading $way): ?string => $way->outliers === [] ? null : $way->apart(), $ways),
                $run->source === RunSource::Device ? null : $run->source->words(),
                ...self::standing($run),
            ],
            fn (?string $note): bool => $note !== null,
        );

        return self::row(
            $run,
            $speeds?->covers() ?? '–',
            $reading?->write?->median()->megabytes(),
            $reading?->read?->median()->megabytes(),
            variation: $reading?->write?->summary->variation(),
            note: $notes === [] && $speeds !== null && self::isHouseStandard($speeds) ? 'house standard' : implode('; ', $notes),
            struck: $suspect !== [] || $run->void !== null,
        );
    }

    /** Five runs of the first gigabyte. */
    private static function isHouseStandard(SpeedRecord $speeds): bool
    {
        return $speeds->region->count === 1_000_000_000 && count($speeds->writes) === 5;
    }

    /** @return RunProps */
    private static function sustainedRow(Run $run): array
    {
        $record = $run->sustained();

        return self::row(
            $run,
            $record === null ? '–' : "first {$record->write->bytes->decimal()}",
            $record?->write->rate()?->megabytes(),
            null,
            variation: null,
            note: implode(
                '; ',
                array_filter(
                    [
                        ...self::standing($run),
                        $run->message,
                        $record?->course->floor === null
                            ? null
                            : "never under {$record->course->floor->printDown()} over {$record->course->window} s",
                    ],
                    fn (?string $part): bool => $part !== null,
                ),
            ),
            struck: $run->void !== null,
        );
    }

    /** @return RunProps */
    private static function proofRow(Run $run): array
    {
        $record = $run->proof();

        return self::row(
            $run,
            $record === null ? '–' : RunPage::extent($record),
            $record?->write->rate()?->megabytes(),
            $record?->read->rate()?->megabytes(),
            variation: null,
            note: implode('; ', [
                ...self::standing($run),
                $run->message ?? ($record === null ? '' : $record->came()),
            ]),
            struck: $run->void !== null,
        );
    }

    /** @return RunProps */
    private static function copyRow(Card $card, Run $run): array
    {
        $reading = $run->copied()?->reading();
        $isTooFast = $reading?->isTooFast($run->chain->fastest($card->label())) === true;

        return self::row(
            $run,
            $reading === null ? '–' : $reading->bytes->decimal().($reading->files === null ? '' : ", {$reading->files} files"),
            null,
            $reading?->rate()?->megabytes(),
            variation: null,
            note: implode(
                '; ',
                array_filter(
                    [
                        ...self::standing($run),
                        $run->message,
                        $run->source === RunSource::Device ? null : $run->source->words(),
                        $reading === null ? null : "{$reading->total()->print()} until {$reading->done()->words()}",
                        $isTooFast ? Suspicion::FasterThanPaper->sentence() : null,
                    ],
                    fn (?string $part): bool => $part !== null,
                ),
            ),
            struck: $run->void !== null || $isTooFast,
        );
    }

    /**
     * What every row begins with, and then what it was measured over, how fast, and what is to be said of it.
     *
     * @param  float|null  $write  MB/s
     * @param  float|null  $read  MB/s
     * @param  float|null  $variation  share
     * @return RunProps
     */
    private static function row(
        Run $run,
        string $over,
        ?float $write,
        ?float $read,
        ?float $variation,
        string $note,
        bool $struck,
    ): array {
        $kind = $run->kind;

        return [
            'id' => $run->id,
            'kind' => $kind,
            'name' => $kind->label(),
            'state' => $run->state,
            'chain' => self::chain($run),
            'region' => $over,
            'write' => $write,
            'read' => $read,
            'variation' => $variation,
            'note' => $note,
            'struck' => $struck,
        ];
    }

    /** @return RunProps */
    private static function plainRow(Run $run, string $note): array
    {
        return self::row(
            $run,
            '–',
            null,
            null,
            variation: null,
            note: implode(
                '; ',
                array_filter([...self::standing($run), $run->message, $note], fn (?string $part): bool => $part !== null && $part !== ''),
            ),
            struck: $run->void !== null,
        );
    }

    /** @return list<string> why it counts no longer, or is kept apart */
    private static function standing(Run $run): array
    {
        return array_values(
            array_filter(
                [
                    $run->void === null ? null : "voided: {$run->void->reason}",
                    $run->isOfPlainFolder() ? Run::OF_A_FOLDER : null,
                    $run->beside === null ? null : "measured beside {$run->beside}: kept apart",
                ],
                fn (?string $part): bool => $part !== null,
            ),
        );
    }

    private static function chain(Run $run): string
    {
        return $run->slot instanceof Slot ? "{$run->slot->name} · {$run->chain->describe()}" : $run->chain->describe();
    }
}
