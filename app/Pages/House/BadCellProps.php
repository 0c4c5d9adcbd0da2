<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A cell that cannot be taken, and why. */
final readonly class BadCellProps
{
    public function __construct(public int $row, public string $column, public string $sentence) {}
}
