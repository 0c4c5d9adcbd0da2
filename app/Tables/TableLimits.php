<?php

declare(strict_types=1);

namespace App\Tables;

/** How much of a table is taken. */
final readonly class TableLimits
{
    public const BYTES = 10_000_000;

    public const UNPACKED = 80_000_000;

    public const ROWS = 20_000;

    public const COLUMNS = 80;

    /** Characters of a cell; what is longer is cut, and found too long where it is used. */
    public const CELL = 500;
}
