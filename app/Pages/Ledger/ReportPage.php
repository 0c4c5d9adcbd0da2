<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

use App\Models\Ledger\HouseReport;
use App\Models\When;
use App\Pages\Card\FactProps;
use App\Pages\Page;
use App\Report\ReportWords;
use Illuminate\Support\Facades\Date;
use Tally\Verdict\VerdictKind;

/**
 * A report of the house: proposed for the last three months.
 *
 * @phpstan-type ReportProps array{ // A report of the house, as far as it is gathered.
 *     id: int,
 *     title: string,
 *     steps: int,
 *     taken: int,
 *     isDone: bool,
 *     parts: list<ReportRowsProps>,
 *     struck: list<StruckProps>, //
 *     how: string,
 * }
 * @phpstan-type ReportRowsProps array{ // A part of a report.
 *     title: string,
 *     rows: list<FactProps>,
 * }
 * @phpstan-type StruckProps array{ // A card that was struck out, and why.
 *     tag: string,
 *     name: string,
 *     verdict: VerdictKind,
 *     why: string,
 * }
 */
final readonly class ReportPage extends Page
{
    private const MONTHS = 3;

    /**
     * @param  string  $from  the day that is proposed
     * @param  ReportProps|null  $report  null before one was asked for
     */
    public function __construct(public string $from, public string $to, public ?array $report, public string $person) {}

    public static function of(?HouseReport $report, ?string $person): self
    {
        return new self(
            $report?->from->format(When::ISO_DAY) ?? Date::now()->subMonths(self::MONTHS)->format(When::ISO_DAY),
            $report?->to->format(When::ISO_DAY) ?? Date::now()->format(When::ISO_DAY),
            $report === null ? null : self::report($report),
            $person ?? '',
        );
    }

    /** @return ReportProps */
    private static function report(HouseReport $report): array
    {
        $words = new ReportWords($report);
        $parts = [
            'Cards by verdict' => $words->cards(),
            'What was tested' => $words->tested(),
            'What happened' => $words->incidents(),
            'What plans saved' => $words->offloads(),
        ];

        return [
            'id' => $report->id,
            'title' => $words->title(),
            'steps' => count($report->todo),
            'taken' => $report->taken,
            'isDone' => $report->isDone(),
            'parts' => array_map(
                fn (string $title, array $rows): array => [
                    'title' => $title,
                    'rows' => array_map(fn (array $row): FactProps => new FactProps(...$row), $rows),
                ],
                array_keys($parts),
                array_values($parts),
            ),
            'struck' => array_map(
                fn (array $one): array => [
                    'tag' => $one['tag'],
                    'name' => $one['name'],
                    'verdict' => VerdictKind::from($one['verdict']),
                    'why' => $one['why'],
                ],
                $report->struck,
            ),
            'how' => $words->how(),
        ];
    }
}
