<?php

declare(strict_types=1);

namespace App\Intake;

use Tally\Label\Line\LabelReading;

/** What was read from a label's line, as the fields of a card would be typed. */
final readonly class LineFields
{
    /** @return array<string, string> field → text; only those that are printed. Marks and the name are told apart from these. */
    public static function of(LabelReading $reading): array
    {
        $fields = [
            'form' => $reading->form?->value,
            'capacity' => $reading->capacity?->exact(),
            'family' => $reading->family?->value,
            'bus' => $reading->bus?->value,
            'read' => $reading->read?->exact(),
            'write' => $reading->write?->exact(),
            'sustained' => $reading->sustained?->exact(),
            'times' => $reading->times === null ? null : (int) $reading->times.'x',
        ];

        return array_filter($fields, is_string(...));
    }
}
