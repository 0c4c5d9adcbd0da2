<?php

declare(strict_types=1);

namespace App\Intake\Import;

use App\Intake\CardField;
use Tally\Label\Line\LabelReader;

/** Which column of a table means which field of a card. */
final readonly class ColumnMatch
{
    /** A column that holds the whole line of a label. */
    public const LINE = 'line';

    private const CALLED = [
        'line',
        'label line',
        'label text',
        'printed',
        'as printed',
        'print',
        'whole line',
        'paste or type the whole label line it fills the fields',
    ];

    /** @param  array<int, string>  $fields  column → field, or the line; columns that are left out do not appear */
    private function __construct(public array $fields) {}

    /**
     * @param  list<string>  $headings
     * @param  list<list<string>>  $samples  a few rows, for what the headings alone do not tell
     */
    public static function guess(array $headings, array $samples = []): self
    {
        $fields = [];
        foreach ($headings as $column => $heading) {
            $field = self::meant($heading);
            // “Label” is the code on the card to some, and what is printed on it to others.
            if ($field === null && self::plain($heading) === 'label') {
                $field =
                    self::areLines($samples, $column) || in_array(CardField::Tag->value, array_map(self::meant(...), $headings), true)
                        ? self::LINE
                        : CardField::Tag->value;
            }
            if ($field !== null && ! in_array($field, $fields, true)) {
                $fields[$column] = $field;
            }
        }
        if (! in_array(self::LINE, $fields, true)) {
            foreach (array_keys($headings) as $column) {
                // A column of names may hold whole labels; one that is known to be something else is that.
                $isFree =
                    ! isset($fields[$column]) ||
                    ($fields[$column] === CardField::Name->value && ! in_array(CardField::Capacity->value, $fields, true));
                if ($isFree && self::areLines($samples, $column)) {
                    $fields[$column] = self::LINE;
                    break;
                }
            }
        }

        return new self($fields);
    }

    /**
     * Whether most cells of a column are lines that the label reader understands.
     *
     * @param  list<list<string>>  $samples
     */
    private static function areLines(array $samples, int $column): bool
    {
        $cells = array_filter(
            array_map(fn (array $row): string => trim($row[$column] ?? ''), $samples),
            fn (string $cell): bool => $cell !== '',
        );
        $lines = array_filter($cells, function (string $cell): bool {
            $read = LabelReader::read($cell);

            return $read->capacity !== null && count($read->from) > 1;
        });

        return $cells !== [] && 2 * count($lines) > count($cells);
    }

    /**
     * As chosen on the page: a list of fields, empty where a column is left out. What is no field counts as left out; of
     * two columns for one field the first is taken.
     *
     * @param  array<array-key, mixed>  $chosen
     */
    public static function chosen(array $chosen, int $columns): self
    {
        $fields = [];
        for ($column = 0; $column < $columns; $column++) {
            $field = $chosen[$column] ?? '';
            if (is_string($field) && ($field === self::LINE || CardField::tryFrom($field) !== null) && ! in_array($field, $fields, true)) {
                $fields[$column] = $field;
            }
        }

        return new self($fields);
    }

    public function has(CardField $field): bool
    {
        return in_array($field->value, $this->fields, true);
    }

    private static function meant(string $heading): ?string
    {
        $plain = self::plain(...);
        $given = $plain($heading);
        if (in_array($given, self::CALLED, true)) {
            return self::LINE;
        }
        // The exact names first: “Card” may be anybody’s word for the tag, “Card type” is not.
        foreach (CardField::cases() as $field) {
            if (in_array($given, [$plain($field->value), $plain($field->heading())], true)) {
                return $field->value;
            }
        }
        foreach (CardField::cases() as $field) {
            if (in_array($given, array_map($plain, $field->alsoCalled()), true)) {
                return $field->value;
            }
        }

        return null;
    }

    private static function plain(string $heading): string
    {
        return trim((string) preg_replace('/[^\p{L}\p{N}×\/]+/u', ' ', mb_strtolower($heading)));
    }
}
