<?php

declare(strict_types=1);

namespace App\Report;

use App\Models\Ledger\HouseReport;
use App\Print\Paper;
use TCPDF;

/** A report of the house on paper. */
final readonly class ReportSheet
{
    /** @return string the bytes of a PDF */
    public static function pdf(HouseReport $report): string
    {
        $paper = new Paper(new TCPDF('P', 'mm', 'A4'), 'Report of the house', true);
        $words = new ReportWords($report);
        $paper->line('Report of the house', 8.5, isPencil: true);
        $paper->line($words->title(), 15.0, 'B');
        foreach (['Cards by verdict' => $words->cards(), 'What was tested' => $words->tested(), 'What happened' => $words->incidents(),
            'What plans saved' => $words->offloads()] as $heading => $rows) {
            if ($rows !== []) {
                $paper->heading($heading);
            }
            foreach ($rows as [$name, $value]) {
                $paper->pair($name, $value);
            }
        }
        $paper->line($words->how(), 8.0, isPencil: true);
        $paper->heading('What was struck out, and why');
        if ($report->struck === []) {
            $paper->line('Nothing.', 9.0);
        }
        foreach ($report->struck as $one) {
            $paper->line("{$one['tag']}   {$one['name']}   {$one['verdict']}", 9.0, 'B', indent: 2.0);
            $paper->line($one['why'], 8.5, indent: 2.0);
        }
        $paper->foot(
            'Verdicts are derived from tests and from the rules of this house; they say what these cards did here. To convict a good card '.
            'loses somebody’s good name: send the evidence sheet with any complaint.',
        );

        return $paper->pdf->Output('report.pdf', 'S');
    }
}
