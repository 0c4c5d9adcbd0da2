<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

use App\Pages\Card\FactProps;

/** A part of a report. */
final readonly class ReportRowsProps
{
    /** @param  list<FactProps>  $rows */
    public function __construct(public string $title, public array $rows) {}
}
