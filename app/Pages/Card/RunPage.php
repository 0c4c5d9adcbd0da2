<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Evidence\CardEvidence;
use App\Gear\ReaderReach;
use App\Models\Runs\HeatReading;
use App\Models\Runs\Run;
use App\Models\Runs\RunVoid;
use App\Models\When;
use App\Pages\Page;
use Tally\Measured\Way;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Temperature;
use Tally\Reading\Copy\SmallFilesReading;
use Tally\Reading\Copy\SmallFilesResult;
use Tally\Reading\Standing;
use Tally\Reading\WayReading;
use Tally\Record\FilesRecord;
use Tally\Record\ProofRecord;
use Tally\Record\RunKind;
use Tally\Record\RunSource;
use Tally\Record\SpeedParameters;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;
use Tally\Record\TypedParameters;

/**
 * One run, whole: how each figure was got, on which chain, over which region, and what became of it.
 *
 * @phpstan-import-type CardProps from CardHeading
 * @phpstan-import-type CopyProps from CopyPage
 * @phpstan-import-type CourseProps from CoursePicture
 * @phpstan-import-type MarginProps from Margin
 *
 * @phpstan-type HeatProps array{ // A temperature that somebody read off.
 *     at: string, // after how much, in words
 *     temperature: string,
 *     by: string|null,
 * }
 * @phpstan-type RunSheetProps array{ // Everything about one run.
 *     id: int,
 *     title: string,
 *     tag: string,
 *     counts: bool,
 *     going: bool,
 *     facts: list<FactProps>,
 *     ways: list<WayProps>, // of a speed run
 *     words: list<string>, // what came of it, where it is no speed run
 *     course: CourseProps|null,
 *     copy: CopyProps|null,
 *     heat: list<HeatProps>,
 *     heatLimits: string, // from where on it is too hot to hold, and hurts
 *     voids: list<VoidProps>, //
 *     void: VoidProps|null,
 * }
 * @phpstan-type VoidProps array{ // Why a run counts no longer, or once did not.
 *     reason: string,
 *     by: string,
 *     on: string,
 *     withdrawn: string|null, // why it counts again
 * }
 * @phpstan-type WayProps array{ // One way of a speed run, whole. Speeds in MB/s.
 *     way: string,
 *     rates: list<float>, // in the order they were measured
 *     apart: list<int>, // which of them lie apart, from 0
 *     mean: float,
 *     median: float,
 *     deviation: float|null,
 *     margin: float|null, // half the 95 % confidence interval of the mean
 *     variation: float|null, // coefficient of variation
 *     notes: list<string>,
 *     suspicion: string|null, // why it is not trusted
 * }
 */
final readonly class RunPage extends Page
{
    /**
     * @param  CardProps  $card
     * @param  RunSheetProps  $run
     * @param  MarginProps  $margin
     */
    public function __construct(
        public array $card,
        public array $run,
        public string $person,
        public array $margin,
    ) {}

    public static function of(Run $run, ?string $person): self
    {
        $run->loadMissing(['card', 'slot', 'reader', 'cable', 'port.host', 'drive', 'voids', 'void', 'heat']);
        $runs = CardEvidence::runs($run->card);

        return new self(
            card: CardHeading::card($run->card),
            run: self::sheet($run),
            person: $person ?? '',
            margin: Margin::at('measure', $run->card, $runs, $person),
        );
    }

    /** @return RunSheetProps */
    private static function sheet(Run $run): array
    {
        $hasResult = $run->result !== null;

        return [
            'id' => $run->id,
            'title' => ucfirst($run->name()).", {$run->kind->label()}".
                ($run->source === RunSource::Device ? '' : ", {$run->source->words()}"),
            'tag' => $run->card->tag,
            'counts' => $run->counts(),
            'going' => $run->state->isGoing(),
            'facts' => self::facts($run),
            'ways' => $run->kind === RunKind::Speed && $hasResult ? self::ways($run) : [],
            'words' => $hasResult ? self::words($run) : [],
            'course' => $run->kind === RunKind::Sustained ? CoursePicture::ofRun($run->card, $run) : null,
            'copy' => $run->kind === RunKind::Copy && $hasResult ? CopyPage::copy($run->card, $run, CardEvidence::runs($run->card)) : null,
            'heat' => array_values(
                $run->heat
                    ->map(
                        fn (HeatReading $one): array => [
                            'at' => $one->at === null ? 'no place noted' : 'after '.Bytes::of($one->at)->decimal(),
                            'temperature' => Temperature::celsius($one->celsius)->both(),
                            'by' => $one->recorded_by,
                        ],
                    )
                    ->all(),
            ),
            'heatLimits' => 'too hot to hold from '.
                Temperature::celsius(Temperature::HANDLE)->print().
                ' on; '.
                Temperature::celsius(Temperature::HURTS)->print().
                ' hurts within seconds',
            'voids' => array_values(
                $run->voids->filter(fn (RunVoid $void): bool => $void->withdrawn !== null)->map(self::void(...))->all(),
            ),
            'void' => $run->void === null ? null : self::void($run->void),
        ];
    }

    /** @return VoidProps */
    private static function void(RunVoid $void): array
    {
        return [
            'reason' => $void->reason,
            'by' => $void->recorded_by,
            'on' => $void->created_at->format(When::DAY),
            'withdrawn' => $void->withdrawn,
        ];
    }

    /** @return list<FactProps> */
    private static function facts(Run $run): array
    {
        $path = $run->chain->surest($run->card->label());
        $facts = [
            'Chain' => $run->chain->describe().($run->drive === null ? '' : " → {$run->drive->tag} {$run->drive->name}"),
            'Bus' => $path->isNamed
                ? $path->links[0]->name.($run->card->bus === null ? ', the slowest that is plausible by its label and its contacts' : '')
                : null,
            'In practice' => $path->practice() === null
                    ? null
                    : "{$path->practice()->print()}; the slowest link is {$path->pinch()->name}: {$path->pinch()->ceiling->source}",
            'Bench' => $run->chain->instrument?->words(),
            'Slot' => $run->slot === null ? null : $run->slot->name.($run->isOfPlainFolder() ? ', '.Run::OF_A_FOLDER : ''),
            'Region' => self::region($run),
            'Settings' => $run->parameters instanceof SpeedParameters ? implode(', ', $run->parameters->words()) : null,
            'Ended' => $run->state->value.
                ($run->ended_at === null
                    ? ''
                    : ', '.$run->ended_at->format($run->source === RunSource::Device ? 'j M Y H:i' : 'j M Y').' UTC'),
            'By' => $run->recorded_by,
            'At the same time' => $run->beside === null ? null : "{$run->beside}: kept apart from speeds that were measured alone",
            'Message' => $run->message,
        ];

        return array_map(
            fn (string $label, ?string $words): FactProps => new FactProps($label, $words ?? ''),
            array_keys(array_filter($facts, fn (?string $words): bool => $words !== null && $words !== '')),
            array_values(array_filter($facts, fn (?string $words): bool => $words !== null && $words !== '')),
        );
    }

    private static function region(Run $run): ?string
    {
        return match (true) {
            $run->result instanceof SpeedRecord => $run->result->covers(),
            $run->result instanceof SustainedRecord => 'first '.$run->result->write->bytes->decimal(),
            $run->result instanceof ProofRecord => self::extent($run->result),
            default => null,
        };
    }

    /** How much of the card a proof speaks of: all of it only where all of it was written and read back. */
    public static function extent(ProofRecord $record): string
    {
        $points = $record->points();

        return match (true) {
            $points !== null => "{$points} places of {$record->size->decimal()}",
            $record->isWhole() => 'all '.$record->size->decimal().($record->extent->isFolder ? ' of a folder' : ''),
            $record->covered()->isZero() => "{$record->write->bytes->decimal()} of {$record->size->decimal()}, not read back",
            default => "{$record->covered()->decimal()} of ".($record->extent->shown ?? $record->size)->decimal(),
        };
    }

    /** @return list<WayProps> */
    private static function ways(Run $run): array
    {
        $reading = $run->reading(null, fn (): array => ReaderReach::besides($run->card));
        $ways = [];
        foreach ($reading?->ways() ?? [] as $way => $one) {
            $rates = $way === 'write' ? $run->speeds()?->writes : $run->speeds()?->reads;
            $ways[] = self::way($way, $one, $rates ?? [], [
                'excuse' => $reading?->blame->of(Way::from($way))->excuse($one->median()) ?? '',
                'into' => $one->isTrusted() ? $run->chain->instrument?->ranInto($one->median(), Way::from($way)) ?? '' : '',
            ]);
        }

        return $ways;
    }

    /**
     * @param  list<float>  $rates
     * @param  array{excuse: string, into: string}  $chain  why a shortfall may be the chain's, and what held the figure
     * @return WayProps
     */
    private static function way(string $way, WayReading $one, array $rates, array $chain): array
    {
        $mega = fn (?float $rate): ?float => $rate === null ? null : $rate / 1e6;

        return [
            'way' => $way,
            'rates' => array_map(fn (float $rate): float => $rate / 1e6, $rates),
            'apart' => $one->outliers,
            'mean' => $one->summary->mean / 1e6,
            'median' => $one->summary->median / 1e6,
            'deviation' => $mega($one->summary->deviation),
            'margin' => $mega($one->summary->margin()),
            'variation' => $one->summary->variation(),
            'notes' => array_values(
                array_filter(
                    [
                        $one->summary->isSingleLook() ? 'A single look: no spread, no interval.' : null,
                        $one->summary->isUnsteady() ? 'Unsteady: run again.' : null,
                        $one->outliers === [] ? null : ucfirst($one->apart()).'.',
                        $one->claim === null || $one->standing === null
                            ? null
                            : Standing::percent($one->median(), $one->claim).
                                " of the label’s {$one->claim->print()}: {$one->standing->words()}.".
                                ($one->standing === Standing::NotJudgedHere ? " {$chain['excuse']}" : ''),
                        $chain['into'] === $chain['excuse'] && $one->standing === Standing::NotJudgedHere ? null : $chain['into'],
                    ],
                    fn (?string $note): bool => $note !== null && $note !== '',
                ),
            ),
            'suspicion' => $one->isTrusted() ? null : $one->why(),
        ];
    }

    /** @return list<string> */
    private static function words(Run $run): array
    {
        return match (true) {
            $run->result instanceof SpeedRecord => $run->result->wrong > 0
                ? [Bytes::of($run->result->wrong)->decimal().' did not come back as written.']
                : ($run->parameters instanceof TypedParameters
                    ? $run->parameters->words()
                    : []),
            $run->result instanceof FilesRecord => self::files($run->result->result),
            $run->result instanceof ProofRecord => self::proven($run->result),
            default => [],
        };
    }

    /** @return list<string> */
    private static function proven(ProofRecord $record): array
    {
        $floor = $record->course?->floor;

        return array_values(
            array_filter(
                [
                    $record->proves(),
                    $record->diagnosis->condition->because(),
                    ...$record->diagnosis->also,
                    $floor === null ? null : "While writing never under {$floor->printDown()} over {$record->course->window} s.",
                ],
                fn (?string $sentence): bool => $sentence !== null,
            ),
        );
    }

    /** @return list<string> */
    public static function files(SmallFilesResult $record): array
    {
        $words = [
            "{$record->files} files of {$record->each->binary()} against one of the same bytes, ".count($record->rounds).' times.',
        ];
        foreach (
            ['Writing' => SmallFilesReading::ofWriting($record), 'Reading' => SmallFilesReading::ofReading($record)] as $way => $reading
        ) {
            if ($reading !== null) {
                $ms = fn (float $seconds): string => number_format(1000 * $seconds, 1);
                $spread = $reading->overhead->margin() === null ? ', a single look' : " ± {$ms($reading->overhead->margin())} ms at 95 %";
                $words[] =
                    "{$way}: ".
                    Rate::bytesPerSecond($reading->many->mean)->printDown().
                    ' as small files, '.
                    Rate::bytesPerSecond($reading->one->mean)->printDown().
                    " as one. Each file costs {$ms(max(0, $reading->overhead->mean))} ms{$spread} on top of its bytes.";
            }
        }
        if (! $record->forgot) {
            $words[] = 'The host’s cache could not be cleared: reading says nothing about the card.';
        }

        return $words;
    }
}
