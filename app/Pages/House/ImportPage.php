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

/**
 * A table that waits to be confirmed.
 *
 * @phpstan-type BadCellProps array{ // A cell that cannot be taken, and why.
 *     row: int,
 *     column: string,
 *     sentence: string,
 * }
 * @phpstan-type ColumnProps array{ // A column of the table, and the field it is taken for.
 *     heading: string,
 *     field: string, // empty when it is left out
 *     sample: string, // what stands in its first rows
 * }
 * @phpstan-type GoodRowProps array{ // A row as it would be entered.
 *     row: int,
 *     tag: string,
 *     name: string,
 *     line: string,
 *     rest: string,
 * }
 * @phpstan-type ImportProps array{ // A table that was sent in, as it would be entered. Nothing of it is in the books yet.
 *     id: string,
 *     name: string,
 *     columns: list<ColumnProps>,
 *     good: int,
 *     badRows: int,
 *     rows: list<GoodRowProps>, // the first of those that can be entered
 *     bad: list<BadCellProps>, // the first of those that cannot
 * }
 */
final readonly class ImportPage extends Page
{
    private const ROWS = 12;

    private const BAD = 200;

    /** So many rows tell what a column holds. */
    private const SAMPLES = 20;

    /**
     * @param  list<ChoiceProps>  $fields
     * @param  string|null  $reading  the table that is being read just now
     * @param  ImportProps|null  $import
     */
    public function __construct(
        public ?array $import,
        public array $fields,
        public ?string $reading,
    ) {}

    /**
     * @param  array<array-key, mixed>|null  $chosen  column → field, as on the page; null for a first look
     * @return ImportProps
     */
    public static function of(WaitingTable $table, ?array $chosen): array
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

        return [
            'id' => $table->id,
            'name' => $table->name,
            'columns' => self::columns($headings, $match, $table),
            'good' => $good,
            'badRows' => $badRows,
            'rows' => $shown,
            'bad' => array_map(
                fn (BadCell $cell): array => ['row' => $cell->row, 'column' => $cell->column, 'sentence' => $cell->sentence],
                $bad,
            ),
        ];
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
            fn (string $heading, int $column): array => [
                'heading' => $heading === '' ? 'column '.($column + 1) : $heading,
                'field' => $match->fields[$column] ?? '',
                'sample' => implode(
                    ' · ',
                    array_filter(
                        array_map(fn (array $row): string => mb_substr($row[$column] ?? '', 0, 24), $samples),
                        fn (string $cell): bool => $cell !== '',
                    ),
                ),
            ],
            $headings,
            array_keys($headings),
        );
    }

    /** @return GoodRowProps */
    private static function row(int $number, CardEntry $entry): array
    {
        $card = (new Card())->forceFill($entry->columns);
        $rest = array_filter(
            [$card->serial, $card->lot === null ? null : "lot {$card->lot}", $card->origin()->price?->print(), $card->seller],
            fn (?string $part): bool => $part !== null,
        );

        return [
            'row' => $number,
            'tag' => $card->tag,
            'name' => $card->name,
            'line' => $card->label()->line(),
            'rest' => implode(' · ', $rest),
        ];
    }
}
