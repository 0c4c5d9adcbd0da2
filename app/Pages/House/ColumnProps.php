<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A column of the table, and the field it is taken for. */
final readonly class ColumnProps
{
    /**
     * @param  string  $field  empty when it is left out
     * @param  string  $sample  what stands in its first rows
     */
    public function __construct(public string $heading, public string $field, public string $sample) {}
}
