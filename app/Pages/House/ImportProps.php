<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A table that was sent in, as it would be entered. Nothing of it is in the books yet. */
final readonly class ImportProps
{
    /**
     * @param  list<ColumnProps>  $columns
     * @param  list<GoodRowProps>  $rows  the first of those that can be entered
     * @param  list<BadCellProps>  $bad  the first of those that cannot
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $columns,
        public int $good,
        public int $badRows,
        public array $rows,
        public array $bad,
    ) {}
}
