<?php

declare(strict_types=1);

use App\Http\Controllers\ActivityController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BooksController;
use App\Http\Controllers\CarryController;
use App\Http\Controllers\CompareController;
use App\Http\Controllers\CopyController;
use App\Http\Controllers\DriveController;
use App\Http\Controllers\ErasedController;
use App\Http\Controllers\EvidenceController;
use App\Http\Controllers\FitController;
use App\Http\Controllers\FootageController;
use App\Http\Controllers\HandbookController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\InspectController;
use App\Http\Controllers\IntakeController;
use App\Http\Controllers\KitController;
use App\Http\Controllers\KnownStationController;
use App\Http\Controllers\LabelPreviewController;
use App\Http\Controllers\LedgerController;
use App\Http\Controllers\MeasureController;
use App\Http\Controllers\ModesController;
use App\Http\Controllers\OffloadController;
use App\Http\Controllers\OpinionController;
use App\Http\Controllers\OverruleController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PracticeController;
use App\Http\Controllers\PriceController;
use App\Http\Controllers\ProveController;
use App\Http\Controllers\PulseController;
use App\Http\Controllers\ReportController;
use App\Http\Controllers\RulesController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\RunNoteController;
use App\Http\Controllers\SavedPlanController;
use App\Http\Controllers\ShootController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\TagController;
use App\Http\Controllers\TypedController;
use App\Http\Controllers\UpdateController;
use App\Http\Controllers\WhatIfController;
use App\Http\Controllers\WorthController;
use App\Models\Cards\Card;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Route;
use Tally\Verdict\VerdictKind;

Route::redirect('/', '/intake');
Route::get('/pulse', PulseController::class);

Route::get('/benches', [BenchController::class, 'show']);
Route::middleware('may:rules')->group(function (): void {
    Route::post('/benches', [BenchController::class, 'found']);
    Route::post('/benches/{station}/end', [BenchController::class, 'end']);
    Route::post('/known-stations', [KnownStationController::class, 'trust']);
    Route::post('/known-stations/{known}/revoke', [KnownStationController::class, 'revoke']);
    Route::post('/known-stations/{known}/trust', [KnownStationController::class, 'again']);
    Route::post('/benches/{station}/slots', [BenchController::class, 'store']);
    Route::put('/slots/{slot}', [BenchController::class, 'update']);
    Route::delete('/slots/{slot}', [BenchController::class, 'delete']);
});

Route::get('/sign-in', [SignInController::class, 'show']);
Route::post('/sign-in', [SignInController::class, 'in']);
Route::get('/sign-in/once/{token}', [SignInController::class, 'once'])->where('token', '[A-Za-z0-9]{40}');
Route::post('/welcomed', [SignInController::class, 'welcomed']);
Route::post('/sign-out', [SignInController::class, 'out']);
Route::get('/password', [SignInController::class, 'password']);
Route::put('/password', [SignInController::class, 'change']);
Route::middleware('may:people')->group(function (): void {
    Route::get('/people', [PeopleController::class, 'show']);
    Route::post('/people', [PeopleController::class, 'store']);
    Route::put('/people/{user}/role', [PeopleController::class, 'assign']);
    Route::post('/people/{user}/reset', [PeopleController::class, 'reset']);
    Route::post('/people/{user}/disable', [PeopleController::class, 'disable']);
    Route::post('/people/{user}/enable', [PeopleController::class, 'enable']);
});

// A stage without a card opens on the first one that waits there, else on the first of all.
foreach (['inspect', 'measure', 'prove'] as $stage) {
    Route::get("/{$stage}", function () use ($stage): RedirectResponse {
        $tag = Card::query()
            ->orderByRaw('next_step = ? desc', [$stage])
            ->orderBy('tag')
            ->value('tag');

        return redirect(is_string($tag) ? "/{$stage}/{$tag}" : '/intake');
    });
}

Route::get('/intake', [IntakeController::class, 'create']);
Route::get('/intake/{card}', [IntakeController::class, 'edit']);
Route::post('/intake/preview', LabelPreviewController::class);
Route::post('/cards', [IntakeController::class, 'store']);
Route::post('/cards/{card}/footage', [FootageController::class, 'carries'])->middleware('seen:card');
Route::post('/cards/{card}/clear', [FootageController::class, 'clear'])->middleware(['may:erase', 'seen:card']);
Route::post('/cards/{card}/photos', [PhotoController::class, 'store']);
Route::get('/photos/{photo}', [PhotoController::class, 'show']);
Route::put('/cards/{card}', [IntakeController::class, 'update']);

Route::get('/kit', [KitController::class, 'index']);
Route::get('/export/modes.{format}', [ModesController::class, 'export'])->middleware('long');
Route::post('/kit/modes/file', [ModesController::class, 'take'])->middleware('long');
Route::get('/kit/sheet/{card?}', [KitController::class, 'sheet']);
Route::get('/kit/{kind}/new', [KitController::class, 'create']);
Route::get('/kit/{kind}/{key}', [KitController::class, 'edit']);
Route::post('/kit/{kind}', [KitController::class, 'store']);
Route::put('/kit/{kind}/{key}', [KitController::class, 'update']);
Route::delete('/kit/{kind}/{key}', [KitController::class, 'delete'])->middleware('seen:kit');

Route::post('/drives/{drive:tag}/verify', [DriveController::class, 'verify']);
Route::post('/drives/{drive:tag}/verify/{check:id}/stop', [DriveController::class, 'stop'])->withoutScopedBindings();
Route::post('/drives/{drive:tag}/gone', [DriveController::class, 'gone']);
Route::post('/drives/{drive:tag}/back', [DriveController::class, 'back']);

Route::get('/prices', [PriceController::class, 'show']);
Route::post('/prices', [PriceController::class, 'store']);
Route::delete('/prices/{quote}', [PriceController::class, 'delete']);

Route::get('/activity/{card?}', ActivityController::class);
Route::get('/rules', [RulesController::class, 'show']);
Route::middleware('may:rules')->group(function (): void {
    Route::put('/rules/due', [RulesController::class, 'due'])->middleware('seen:rules');
    Route::put('/rules/plan', [RulesController::class, 'plan'])->middleware('seen:rules');
    Route::put('/rules/judgement', [RulesController::class, 'judgement'])->middleware('seen:rules');
    Route::delete('/rules/judgement', [RulesController::class, 'drop']);
    Route::post('/rules/judgement/{draft}/go-on', [RulesController::class, 'goOn'])->middleware('long')->whereNumber('draft');
    Route::post('/rules/judgement/{draft}/keep', [RulesController::class, 'keep'])->middleware('seen:rules')->whereNumber('draft');
});
Route::get('/handbook', HandbookController::class);
Route::get('/erased', [ErasedController::class, 'show']);
Route::get('/updates', UpdateController::class);

Route::get('/opinion', [OpinionController::class, 'show']);
Route::post('/opinion', [OpinionController::class, 'judge']);
Route::get('/opinion/{file}', [OpinionController::class, 'example'])->whereIn('file', ['example', 'schema']);

Route::get('/tags', [TagController::class, 'show']);
Route::get('/tags/sheet.pdf', [TagController::class, 'pdf']);
Route::get('/c/{card}', [TagController::class, 'open']);

Route::get('/import', [ImportController::class, 'create']);
Route::post('/import', [ImportController::class, 'store'])->middleware('long');
Route::get('/import/{import}', [ImportController::class, 'show']);
Route::post('/import/{import}', [ImportController::class, 'confirm'])->middleware('long');
Route::post('/import/{import}/cancel', [ImportController::class, 'cancel']);
Route::get('/export/cards.{format}', [ImportController::class, 'export'])->middleware('long');

Route::get('/inspect/{card}', [InspectController::class, 'show']);
Route::post('/cards/{card}/inspections', [InspectController::class, 'store']);
Route::post('/inspections/{inspection}/withdraw', [InspectController::class, 'withdraw']);

Route::get('/measure/{card}', MeasureController::class);
Route::get('/prove/{card}', ProveController::class);
Route::get('/prove/{card}/evidence.pdf', [EvidenceController::class, 'sheet']);
Route::get('/prove/{card}/result.json', [EvidenceController::class, 'result']);
Route::post('/cards/{card}/overrule', [OverruleController::class, 'say'])->middleware('may:overrule');
Route::post('/cards/{card}/overrule/withdraw', [OverruleController::class, 'withdraw'])->middleware('may:overrule');
Route::post('/cards/{card}/results', [EvidenceController::class, 'take']);
Route::get('/fit', function (): RedirectResponse {
    $tag = Card::query()->whereNotIn('verdict', [VerdictKind::Sham, VerdictKind::Shaky])->orderBy('tag')->value('tag');

    return redirect(is_string($tag) ? "/fit/{$tag}" : '/intake');
});
Route::get('/fit/label', [FitController::class, 'label']);
Route::get('/fit/shoot', [ShootController::class, 'show'])->middleware('long');
Route::get('/fit/shoot/packing.pdf', [ShootController::class, 'sheet'])->middleware('long');
Route::get('/fit/shoot/packing.xlsx', [ShootController::class, 'table'])->middleware('long');
Route::post('/fit/shoots', [ShootController::class, 'store']);
Route::get('/fit/shoots/{shoot}', [ShootController::class, 'kept']);
Route::delete('/fit/shoots/{shoot}', [ShootController::class, 'delete']);
Route::get('/fit/shoots/{shoot}/packing.pdf', [ShootController::class, 'keptSheet']);
Route::get('/fit/shoots/{shoot}/packing.xlsx', [ShootController::class, 'keptTable']);
Route::get('/fit/modes/{mode}', [FitController::class, 'mode']);
Route::get('/fit/{card}', [FitController::class, 'card']);
Route::put('/fit/rules', [FitController::class, 'rules'])->middleware(['may:rules', 'seen:rules']);
Route::post('/cards/{card}/bursts', [FitController::class, 'burst']);
Route::post('/cards/{card}/stops', [FitController::class, 'stop']);
Route::post('/cards/{card}/bodies', [FitController::class, 'trial']);
Route::get('/ledger', [LedgerController::class, 'index']);
Route::get('/ledger/buy', [LedgerController::class, 'buy']);
Route::get('/ledger/sellers', [LedgerController::class, 'sellers']);
Route::get('/ledger/due.ics', [LedgerController::class, 'calendar']);
Route::get('/ledger/worth', [WorthController::class, 'show']);
Route::post('/ledger/worth', [WorthController::class, 'enter']);
Route::get('/ledger/reports', [ReportController::class, 'index']);
Route::post('/ledger/reports', [ReportController::class, 'begin'])->middleware('long');
Route::get('/ledger/reports/{report}', [ReportController::class, 'show'])->whereNumber('report');
Route::post('/ledger/reports/{report}/go-on', [ReportController::class, 'goOn'])->middleware('long')->whereNumber('report');
Route::get('/ledger/reports/{report}/report.pdf', [ReportController::class, 'sheet'])->whereNumber('report');
Route::get('/ledger/{card}', [LedgerController::class, 'card']);
Route::post('/incidents', [LedgerController::class, 'incident']);
Route::post('/cards/{card}/retire', [LedgerController::class, 'retire'])->middleware('seen:card');
Route::post('/cards/{card}/back', [LedgerController::class, 'back'])->middleware('seen:card');
Route::get('/books', [BooksController::class, 'show']);
Route::get('/books/out', [BooksController::class, 'out'])->middleware('long');
Route::get('/practice', [PracticeController::class, 'index']);
Route::get('/practice/set.pdf', [PracticeController::class, 'sheet']);
Route::get('/practice/{round}', [PracticeController::class, 'show'])->whereNumber('round');
Route::post('/practice', [PracticeController::class, 'begin']);
Route::post('/practice/{round}/moves', [PracticeController::class, 'move'])->whereNumber('round');
Route::post('/practice/{round}/call', [PracticeController::class, 'call'])->whereNumber('round');
Route::get('/offload', [PlanController::class, 'show'])->middleware('long');
Route::get('/offload/runbook.pdf', [PlanController::class, 'sheet'])->middleware('long');
Route::get('/offload/calendar.ics', [PlanController::class, 'calendar'])->middleware('long');
Route::post('/offload/what-if', WhatIfController::class)->middleware('long');
Route::post('/offload/beside', [PlanController::class, 'beside'])->middleware('long');
Route::post('/offload/better', [PlanController::class, 'better'])->middleware('long');
Route::post('/offload/plans', [SavedPlanController::class, 'store']);
Route::get('/offload/plans/{plan}', [SavedPlanController::class, 'show']);
Route::put('/offload/plans/{plan}', [SavedPlanController::class, 'tell'])->middleware('seen:plan');
Route::delete('/offload/plans/{plan}', [SavedPlanController::class, 'delete'])->middleware('seen:plan');
Route::get('/offload/plans/{plan}/runbook.pdf', [SavedPlanController::class, 'sheet']);
Route::get('/offload/plans/{plan}/calendar.ics', [SavedPlanController::class, 'calendar']);
Route::get('/offload/{card}', OffloadController::class);
Route::post('/offloads', [CarryController::class, 'begin']);
Route::post('/offloads/folders', [CarryController::class, 'folders']);
Route::get('/offloads/{offload}', [CarryController::class, 'show']);
Route::get('/offloads/{offload}/now', [CarryController::class, 'now']);
Route::post('/offloads/{offload}/cards/{card:id}/in', [CarryController::class, 'isIn'])->withoutScopedBindings();
Route::post('/offloads/{offload}/cards/{card:id}/beginning', [CarryController::class, 'beginning'])->withoutScopedBindings();
Route::post('/offloads/{offload}/anew', [CarryController::class, 'anew']);
Route::post('/offloads/{offload}/stop', [CarryController::class, 'stop']);
Route::post('/offloads/{offload}/again', [CarryController::class, 'again']);
Route::post('/offloads/{offload}/copies/{copy:id}/again', [CarryController::class, 'again'])->withoutScopedBindings();
Route::post('/offloads/{offload}/copies/{copy:id}/elsewhere', [CarryController::class, 'elsewhere'])->withoutScopedBindings();
Route::post('/offloads/{offload}/copies/{copy:id}/leave', [CarryController::class, 'leave'])->withoutScopedBindings();
Route::get('/offloads/{offload}/handover.pdf', [CarryController::class, 'handover']);

Route::get('/measure/{card}/typed', [TypedController::class, 'create']);
Route::post('/cards/{card}/typed', [TypedController::class, 'store']);
Route::post('/typed/check', [TypedController::class, 'check']);
Route::get('/measure/{card}/copy', [CopyController::class, 'create']);
Route::post('/cards/{card}/copies', [CopyController::class, 'order']);
Route::post('/cards/{card}/stopwatch', [CopyController::class, 'store']);
Route::post('/cards/{card}/stopwatch/check', [CopyController::class, 'check']);

Route::get('/compare', [CompareController::class, 'show']);
Route::get('/compare/limits', [CompareController::class, 'limits']);
Route::get('/compare/twins', [CompareController::class, 'twins']);
Route::post('/compare/figures', [CompareController::class, 'figures']);

Route::post('/cards/{card}/runs', [RunController::class, 'store']);
Route::post('/cards/{card}/runs/forecast', [RunController::class, 'forecast']);
Route::get('/runs/{run}', [RunController::class, 'show']);
Route::post('/runs/{run}/void', [RunNoteController::class, 'void'])->middleware('may:void');
Route::post('/runs/{run}/count-again', [RunNoteController::class, 'countAgain'])->middleware('may:void');
Route::post('/runs/{run}/heat', [RunNoteController::class, 'heat']);
Route::post('/runs/{run}/go-on', [RunController::class, 'goOn']);
Route::post('/runs/{run}/stop', [RunController::class, 'stop']);
