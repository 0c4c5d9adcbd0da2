<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FileAnswer;
use App\Http\Person;
use App\Http\Requests\AskReport;
use App\Models\Ledger\HouseReport;
use App\Pages\Ledger\ReportPage;
use App\Pages\Page;
use App\Report\ReportBook;
use App\Report\ReportSheet;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;

/** Reports of the house for a period. */
final readonly class ReportController
{
    public function index(Request $request): Page
    {
        return ReportPage::of(null, Person::of($request));
    }

    public function begin(AskReport $request): RedirectResponse
    {
        Person::remember($request->by());
        $report = ReportBook::begin($request->from(), $request->to(), $request->by());
        ReportBook::goOn($report);

        return redirect("/ledger/reports/{$report->id}");
    }

    public function show(Request $request, HouseReport $report): Page
    {
        return ReportPage::of($report, Person::of($request));
    }

    public function goOn(HouseReport $report): RedirectResponse
    {
        ReportBook::goOn($report);

        return back();
    }

    /** Whoever comes by the link alone waits until it is gathered. */
    public function sheet(HouseReport $report): HttpResponse
    {
        while (! $report->isDone()) {
            $report = ReportBook::goOn($report);
        }

        return FileAnswer::pdf('report.pdf', ReportSheet::pdf($report));
    }
}
