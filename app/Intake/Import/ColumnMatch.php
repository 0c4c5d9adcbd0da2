<?php

declare(strict_types=1);

namespace App\Intake\Import;

use App\Intake\CardField;

/** Which column of a table means which field of a card. */
final readonly class ColumnMatch
{
    /** A column that holds the whole line of a label. */
    public const LINE = 'line';

    /** @param  array<int, string>  $fields  column → field, or the line; columns that are left out do not appear */
    private function __construct(public array $fields) {}

    /** @param  list<string>  $headings */
    public static function guess(array $headings): self
    {
        $fields = [];
        foreach ($headings as $column => $heading) {
            $field = self::meant($heading);
            if ($field !== null && ! in_array($field, $fields, true)) {
                $fields[$column] = $field;
            }
        }

        return new self($fields);
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
        $plain = fn (string $words): string => trim((string) preg_replace('/[^\p{L}\p{N}×\/]+/u', ' ', mb_strtolower($words)));
        $given = $plain($heading);
        if (in_array($given, ['line', 'label line', 'printed', 'as printed'], true)) {
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
}
