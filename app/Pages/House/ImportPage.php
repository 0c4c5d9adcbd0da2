<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Intake\CardEntry;
use App\Intake\CardField;
use App\Intake\Import\BadCell;
use App\Intake\Import\ColumnMatch;
use App\Intake\Import\ImportReading;
use App\Intake\Import\WaitingTable;
use App\Kit\ChoiceProps;
use App\Models\Cards\Card;
use App\Pages\Page;

/** A table that waits to be confirmed. */
final readonly class ImportPage extends Page
{
    private const ROWS = 12;

    private const BAD = 200;

    /** So many rows tell what a column holds. */
    private const SAMPLES = 20;

    /**
     * @param  list<ChoiceProps>  $fields
     * @param  string|null  $reading  the table that is being read just now
     */
    public function __construct(
        public ?ImportProps $import,
        public array $fields,
        public ?string $reading,
    ) {}

    /** @param  array<array-key, mixed>|null  $chosen  column → field, as on the page; null for a first look */
    public static function of(WaitingTable $table, ?array $chosen): ImportProps
    {
        $headings = $table->headings();
        $match = self::match($table, $chosen);
        [$good, $badRows, $shown, $bad] = [0, 0, [], []];
        foreach (ImportReading::of($headings, $match, $table->body()) as $number => $read) {
            if ($read instanceof CardEntry) {
                $good++;
                if (count($shown) < self::ROWS) {
                    $shown[] = self::row($number, $read);
                }
            } else {
                $badRows++;
                $bad = count($bad) < self::BAD ? [...$bad, ...$read] : $bad;
            }
        }

        return new ImportProps(
            $table->id,
            $table->name,
            self::columns($headings, $match, $table),
            $good,
            $badRows,
            $shown,
            array_map(fn (BadCell $cell): BadCellProps => new BadCellProps($cell->row, $cell->column, $cell->sentence), $bad),
        );
    }

    /** @param  array<array-key, mixed>|null  $chosen */
    public static function match(WaitingTable $table, ?array $chosen): ColumnMatch
    {
        $headings = $table->headings();

        return $chosen === null
            ? ColumnMatch::guess($headings, $table->samples(self::SAMPLES))
            : ColumnMatch::chosen($chosen, count($headings));
    }

    /** @return list<ChoiceProps> */
    public static function fields(): array
    {
        return [
            new ChoiceProps(ColumnMatch::LINE, 'the label’s whole line', []),
            ...array_map(fn (CardField $field): ChoiceProps => new ChoiceProps($field->value, $field->heading(), []), CardField::cases()),
        ];
    }

    /**
     * @param  list<string>  $headings
     * @return list<ColumnProps>
     */
    private static function columns(array $headings, ColumnMatch $match, WaitingTable $table): array
    {
        $samples = $table->samples(3);

        return array_map(
            fn (string $heading, int $column): ColumnProps => new ColumnProps(
                $heading === '' ? 'column '.($column + 1) : $heading,
                $match->fields[$column] ?? '',
                implode(
                    ' · ',
                    array_filter(
                        array_map(fn (array $row): string => mb_substr($row[$column] ?? '', 0, 24), $samples),
                        fn (string $cell): bool => $cell !== '',
                    ),
                ),
            ),
            $headings,
            array_keys($headings),
        );
    }

    private static function row(int $number, CardEntry $entry): GoodRowProps
    {
        $card = (new Card())->forceFill($entry->columns);
        $rest = array_filter(
            [$card->serial, $card->lot === null ? null : "lot {$card->lot}", $card->origin()->price?->print(), $card->seller],
            fn (?string $part): bool => $part !== null,
        );

        return new GoodRowProps($number, $card->tag, $card->name, $card->label()->line(), implode(' · ', $rest));
    }
}
