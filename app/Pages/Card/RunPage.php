<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Evidence\CardEvidence;
use App\Gear\ReaderReach;
use App\Models\Runs\HeatReading;
use App\Models\Runs\Run;
use App\Models\Runs\RunVoid;
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

/** One run, whole: how each figure was got, on which chain, over which region, and what became of it. */
final readonly class RunPage extends Page
{
    public function __construct(
        public CardProps $card,
        public RunSheetProps $run,
        public string $person,
        public MarginProps $margin,
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

    private static function sheet(Run $run): RunSheetProps
    {
        $hasResult = $run->result !== null;

        return new RunSheetProps(
            $run->id,
            ucfirst($run->name()).", {$run->kind->label()}".($run->source === RunSource::Device ? '' : ", {$run->source->words()}"),
            $run->card->tag,
            $run->counts(),
            $run->state->isGoing(),
            self::facts($run),
            $run->kind === RunKind::Speed && $hasResult ? self::ways($run) : [],
            $hasResult ? self::words($run) : [],
            $run->kind === RunKind::Sustained ? CoursePicture::ofRun($run->card, $run) : null,
            $run->kind === RunKind::Copy && $hasResult ? CopyPage::copy($run->card, $run, CardEvidence::runs($run->card)) : null,
            array_values(
                $run->heat
                    ->map(
                        fn (HeatReading $one): HeatProps => new HeatProps(
                            $one->at === null ? 'no place noted' : 'after '.Bytes::of($one->at)->decimal(),
                            Temperature::celsius($one->celsius)->both(),
                            $one->recorded_by,
                        ),
                    )
                    ->all(),
            ),
            'too hot to hold from '.
                Temperature::celsius(Temperature::HANDLE)->print().
                ' on; '.
                Temperature::celsius(Temperature::HURTS)->print().
                ' hurts within seconds',
            array_values($run->voids->filter(fn (RunVoid $void): bool => $void->withdrawn !== null)->map(self::void(...))->all()),
            $run->void === null ? null : self::void($run->void),
        );
    }

    private static function void(RunVoid $void): VoidProps
    {
        return new VoidProps($void->reason, $void->recorded_by, $void->created_at->format('j M Y'), $void->withdrawn);
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
     */
    private static function way(string $way, WayReading $one, array $rates, array $chain): WayProps
    {
        $mega = fn (?float $rate): ?float => $rate === null ? null : $rate / 1e6;

        return new WayProps(
            $way,
            array_map(fn (float $rate): float => $rate / 1e6, $rates),
            $one->outliers,
            $one->summary->mean / 1e6,
            $one->summary->median / 1e6,
            $mega($one->summary->deviation),
            $mega($one->summary->margin()),
            $one->summary->variation(),
            array_values(
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
            $one->isTrusted() ? null : $one->why(),
        );
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
