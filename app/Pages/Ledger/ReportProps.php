<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** A report of the house, as far as it is gathered. */
final readonly class ReportProps
{
    /**
     * @param  list<ReportRowsProps>  $parts
     * @param  list<StruckProps>  $struck
     */
    public function __construct(
        public int $id,
        public string $title,
        public int $steps,
        public int $taken,
        public bool $isDone,
        public array $parts,
        public array $struck,
        public string $how,
    ) {}
}
