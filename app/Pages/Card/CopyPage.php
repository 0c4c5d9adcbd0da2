<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Evidence\CardEvidence;
use App\Gear\ChainBuilder;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Slot;
use App\Models\Stations\SlotKind;
use App\Models\Stations\Station;
use App\Models\When;
use App\Pages\Page;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Date;
use InvalidArgumentException;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Reading\Copy\CopyReading;
use Tally\Reading\Copy\Lap;
use Tally\Record\CopyRecord;
use Tally\Record\RunKind;
use Tally\Record\RunSource;

/**
 * Timed copies of a card.
 *
 * @phpstan-import-type CardProps from CardHeading
 * @phpstan-import-type ChainChoicesProps from ChainChoices
 * @phpstan-import-type MarginProps from Margin
 * @phpstan-import-type RunningProps from Orders
 *
 * @phpstan-type CopyProps array{ // A timed copy.
 *     id: int,
 *     title: string,
 *     what: string,
 *     laps: list<LapProps>,
 *     bound: string, // what held it back, as far as can be told
 *     notes: list<string>,
 *     struck: bool, // voided, or faster than its chain can carry
 * }
 * @phpstan-type CopySlotProps array{ // A slot with a folder that this program can copy from.
 *     id: int,
 *     name: string,
 *     path: string,
 *     refusal: string|null,
 * }
 * @phpstan-type LapProps array{ // A lap of a timed copy.
 *     words: string, // what "done" meant
 *     seconds: float,
 *     time: string,
 *     rate: string,
 * }
 */
final readonly class CopyPage extends Page
{
    /** The newest so many. */
    private const SHOWN = 30;

    /**
     * @param  list<CopyProps>  $copies
     * @param  list<CopySlotProps>  $slots
     * @param  list<string>  $folders  below which drives are found
     * @param  CardProps  $card
     * @param  ChainChoicesProps  $chain
     * @param  RunningProps|null  $running
     * @param  MarginProps  $margin
     */
    public function __construct(
        public array $card,
        public array $copies,
        public array $slots,
        public array $folders,
        public array $chain,
        public ?array $running,
        public string $today,
        public string $person,
        public array $margin,
    ) {}

    /**
     * @param  Collection<int, Run>  $runs
     */
    public static function of(Card $card, Collection $runs, ?Station $station, ?string $person): self
    {
        $copies = $card
            ->runs()
            ->with(['reader', 'drive', 'void'])
            ->where('kind', RunKind::Copy)
            ->whereNotIn('state', RunState::going())
            ->latest('id')
            ->limit(self::SHOWN)
            ->get();

        return new self(
            card: CardHeading::card($card),
            copies: array_values($copies->map(fn (Run $run): array => self::copy($card, $run, $runs))->all()),
            slots: self::slots($card, $station),
            folders: array_values(array_filter(config()->array('tally.folders'), is_string(...))),
            chain: ChainChoices::of($card),
            running: Orders::running($runs),
            today: Date::now()->format(When::ISO_DAY),
            person: $person ?? '',
            margin: Margin::at('measure', $card, $runs, $person),
        );
    }

    /** @param  array<mixed>  $given  size, files, copied, verified, previews as typed */
    public static function check(Card $card, array $given): CopyCheckProps
    {
        $text = fn (string $key): string => is_string($given[$key] ?? null) ? trim($given[$key]) : '';
        if ($text('size') === '') {
            return new CopyCheckProps([], null, null);
        }
        try {
            $laps = [];
            foreach (Lap::cases() as $lap) {
                if ($text($lap->value) !== '') {
                    $laps[$lap->value] = Span::parse($text($lap->value));
                }
            }
            if ($laps === []) {
                return new CopyCheckProps([], null, null);
            }
            $copy = CopyReading::of(Bytes::parse($text('size'), 'GB'), null, $laps);
        } catch (InvalidArgumentException $fault) {
            return new CopyCheckProps([], null, $fault->getMessage());
        }

        return new CopyCheckProps(self::laps($copy), $copy->bound(self::readSpeed($card, CardEvidence::runs($card), null))->words(), null);
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return CopyProps
     */
    public static function copy(Card $card, Run $run, Collection $runs): array
    {
        $record = $run->copied() ?? new CopyRecord(Bytes::of(0), null, []);
        $reading = $record->reading();
        $path = $run->chain->fastest($card->label());
        $what =
            $record->files === null
                ? $record->bytes->decimal()
                : "{$record->bytes->decimal()} in {$record->files} ".($record->files === 1 ? 'file' : 'files');

        return [
            'id' => $run->id,
            'title' => ucfirst($run->name()).($run->source === RunSource::Device ? '' : ", {$run->source->words()}"),
            'what' => $what.' · '.$run->chain->describe().($run->drive === null ? '' : " → {$run->drive->tag}"),
            'laps' => $reading === null ? [] : self::laps($reading),
            'bound' => $reading === null
                ? 'no whole file was copied'
                : $reading->bound(self::readSpeed($card, $runs, $run->reader?->tag), $path)->words(),
            'notes' => array_values(
                array_filter(
                    [
                        $run->void === null ? null : "Voided: {$run->void->reason}",
                        $run->message,
                        $run->result === null || $reading === null ? null : "“Done” meant {$reading->done()->words()}.",
                        $record->differing === 0
                            ? null
                            : "{$record->differing} did not read back as they were: ".
                                implode(', ', array_slice($record->different, 0, 3)).
                                '. Keep the card, and copy again.',
                        $record->overhead === null ? null : ucfirst($record->overhead).'.',
                        $record->skipped === 0 ? null : "{$record->skipped} links or special files were skipped.",
                        $record->forgot ? null : 'The host’s cache could not be cleared first: the times may be those of its memory.',
                        $record->target === null ? null : "The copy lies in {$record->target}.",
                    ],
                    fn (?string $note): bool => $note !== null && $note !== '',
                ),
            ),
            'struck' => $run->void !== null || $reading?->isTooFast($path) === true,
        ];
    }

    /**
     * How fast the card was seen to read: in that reader, else in any.
     *
     * @param  Collection<int, Run>  $runs
     */
    private static function readSpeed(Card $card, Collection $runs, ?string $reader): ?Rate
    {
        $best = null;
        foreach (CardEvidence::speeds($runs) as $speed) {
            $read = $speed->reading($card->label())->read;
            $sameReader = $reader === null || $speed->chain->reader === $reader;
            if ($read !== null && $read->isTrusted() && $sameReader && ($best === null || $best->isBelow($read->median()))) {
                $best = $read->median();
            }
        }

        return $best;
    }

    /** @return list<LapProps> */
    private static function laps(CopyReading $copy): array
    {
        $laps = [];
        foreach ($copy->laps as $name => $span) {
            $laps[] = [
                'words' => Lap::from($name)->words(),
                'seconds' => $span->seconds,
                'time' => $span->print(),
                'rate' => $copy->rate(Lap::from($name))?->print() ?? '',
            ];
        }

        return $laps;
    }

    /** @return list<CopySlotProps> */
    private static function slots(Card $card, ?Station $station): array
    {
        $label = $card->label();
        $slots =
            $station === null
                ? []
                : $station
                    ->slots()
                    ->with(['reader.slots', 'reader.cable', 'port.host'])
                    ->where('kind', SlotKind::Folder)
                    ->orderBy('id')
                    ->get()
                    ->all();

        return array_map(
            fn (Slot $slot): array => [
                'id' => $slot->id,
                'name' => $slot->name.(Orders::plain($card, $slot) === null ? '' : ', a folder on this computer, not a card'),
                'path' => $slot->path ?? '',
                'refusal' => ChainBuilder::chain($label, $slot) === null
                    ? "{$slot->reader->tag} does not take {$label->connection()}"
                    : null,
            ],
            array_values($slots),
        );
    }
}
