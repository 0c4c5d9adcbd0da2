<?php

declare(strict_types=1);

namespace App\Intake\Import;

/** Why a row cannot be taken: which row, which column, what was given and what would do. */
final readonly class BadCell
{
    /** @param  string  $column  its heading; the name of the field where the table has no such column */
    public function __construct(public int $row, public string $column, public string $sentence) {}
}
