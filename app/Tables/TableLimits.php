<?php

declare(strict_types=1);

namespace App\Tables;

/** How much of a table is taken. */
final readonly class TableLimits
{
    public const BYTES = 10_000_000;

    public const ROWS = 20_000;

    public const COLUMNS = 80;

    /** Characters of a cell; what is longer is cut, and found too long where it is used. */
    public const CELL = 500;

    /** Filled cells of a spreadsheet, which is held whole while it is read or written; text is read as a stream and may have more. */
    public const CELLS = 120_000;

    /** Bytes of a spreadsheet when unpacked. */
    public const UNPACKED = 32_000_000;

    /** Characters of a spreadsheet’s cells, a text that many of them share counted as often as it is used. */
    public const TEXT = 20_000_000;

    /** Elements of a spreadsheet, counted by the marks that begin and end them; the memory of a parsed document goes with these. */
    public const MARKS = 1_500_000;
}
