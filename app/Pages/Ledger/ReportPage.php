<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

use App\Models\Ledger\HouseReport;
use App\Pages\Card\FactProps;
use App\Pages\Page;
use App\Report\ReportWords;
use Illuminate\Support\Facades\Date;
use Tally\Verdict\VerdictKind;

/** A report of the house: proposed for the last three months. */
final readonly class ReportPage extends Page
{
    private const MONTHS = 3;

    /**
     * @param  string  $from  the day that is proposed
     * @param  ReportProps|null  $report  null before one was asked for
     */
    public function __construct(public string $from, public string $to, public ?ReportProps $report, public string $person) {}

    public static function of(?HouseReport $report, ?string $person): self
    {
        return new self(
            $report?->from->format('Y-m-d') ?? Date::now()->subMonths(self::MONTHS)->format('Y-m-d'),
            $report?->to->format('Y-m-d') ?? Date::now()->format('Y-m-d'),
            $report === null ? null : self::report($report),
            $person ?? '',
        );
    }

    private static function report(HouseReport $report): ReportProps
    {
        $words = new ReportWords($report);
        $parts = [
            'Cards by verdict' => $words->cards(),
            'What was tested' => $words->tested(),
            'What happened' => $words->incidents(),
            'What plans saved' => $words->offloads(),
        ];

        return new ReportProps(
            $report->id,
            $words->title(),
            count($report->todo),
            $report->taken,
            $report->isDone(),
            array_map(
                fn (string $title, array $rows): ReportRowsProps => new ReportRowsProps(
                    $title,
                    array_map(fn (array $row): FactProps => new FactProps(...$row), $rows),
                ),
                array_keys($parts),
                array_values($parts),
            ),
            array_map(
                fn (array $one): StruckProps => new StruckProps($one['tag'], $one['name'], VerdictKind::from($one['verdict']), $one['why']),
                $report->struck,
            ),
            $words->how(),
        );
    }
}
