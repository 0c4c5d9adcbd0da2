<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Report\ReportProps;

/** What happened in a period, and what it saved. */
final readonly class ReportPageProps implements PageProps
{
    /**
     * @param  string  $from  the day that is proposed
     * @param  ReportProps|null  $report  null before one was asked for
     */
    public function __construct(public string $from, public string $to, public ?ReportProps $report, public string $person) {}
}
