<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FileAnswer;
use App\Http\Person;
use App\Http\Requests\AskPurchase;
use App\Http\Requests\LogIncident;
use App\Http\Requests\RetireCard;
use App\Ledger\DueCalendar;
use App\Ledger\IncidentBook;
use App\Ledger\NotAnIncident;
use App\Ledger\Retirement;
use App\Models\Cards\Card;
use App\Pages\Ledger\BuyAskedProps;
use App\Pages\Ledger\BuyPage;
use App\Pages\Ledger\LedgerPage;
use App\Pages\Ledger\SellersPage;
use App\Pages\Page;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Validation\ValidationException;

/** What cards have been through: their lives, incidents, and when they are tested again. */
final readonly class LedgerController
{
    public function index(): RedirectResponse
    {
        $tag = Card::query()
            ->whereNull('retired_on')
            ->orderByRaw('due_on is null, due_on, tag')
            ->value('tag');

        return redirect(is_string($tag) ? "/ledger/{$tag}" : '/intake');
    }

    public function card(Request $request, Card $card): Page
    {
        return LedgerPage::of($card, Person::of($request));
    }

    public function incident(LogIncident $request): RedirectResponse
    {
        try {
            $incident = IncidentBook::log($request->line(), $request->by(), $request->at());
        } catch (NotAnIncident $fault) {
            throw ValidationException::withMessages(['line' => $fault->getMessage()]);
        }
        Person::remember($request->by());

        return redirect("/ledger/{$incident->card->tag}");
    }

    public function retire(RetireCard $request, Card $card): RedirectResponse
    {
        $request->mustBePossible($card);
        Person::remember($request->by());
        Retirement::take($card, $request->why(), $request->by());

        return back();
    }

    public function back(Card $card): RedirectResponse
    {
        Retirement::back($card);

        return back();
    }

    public function buy(AskPurchase $request): Page
    {
        $asked = new BuyAskedProps(...array_map($request->text(...), ['mode', 'floor', 'size', 'count', 'reader']));

        return BuyPage::of($asked, $request->mode(), $request->need(), $request->reader());
    }

    public function sellers(): Page
    {
        return SellersPage::now();
    }

    public function calendar(): HttpResponse
    {
        return FileAnswer::calendar('due.ics', DueCalendar::ofHouse());
    }
}
