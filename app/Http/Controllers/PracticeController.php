<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FileAnswer;
use App\Http\Person;
use App\Http\Requests\AskPracticeSet;
use App\Http\Requests\BeginPractice;
use App\Http\Requests\CallPractice;
use App\Models\Practice\PracticeRound;
use App\Pages\Page;
use App\Pages\Practice\PracticePage;
use App\Pages\Practice\PracticeRoundPage;
use App\Practice\NotAMove;
use App\Practice\PracticeSheet;
use App\Practice\RoundBook;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Validation\ValidationException;

/** Learning to judge on cards that nobody has. */
final readonly class PracticeController
{
    public function index(Request $request): Page
    {
        return PracticePage::of(Person::of($request) ?? '');
    }

    public function begin(BeginPractice $request): RedirectResponse
    {
        Person::remember($request->by());
        $round = RoundBook::begin($request->by(), $request->level(), $request->seed());

        return redirect("/practice/{$round->id}");
    }

    public function show(PracticeRound $round): Page
    {
        return PracticeRoundPage::of($round);
    }

    public function move(Request $request, PracticeRound $round): RedirectResponse
    {
        return $this->carry('move', fn () => RoundBook::move($round, $request->string('move')->limit(40)->value()));
    }

    public function call(CallPractice $request, PracticeRound $round): RedirectResponse
    {
        return $this->carry('verdict', fn () => RoundBook::call($round, $request->call()));
    }

    public function sheet(AskPracticeSet $request): HttpResponse
    {
        return FileAnswer::pdf('practice.pdf', PracticeSheet::pdf($request->set()));
    }

    /** @param  callable(): void  $act */
    private function carry(string $field, callable $act): RedirectResponse
    {
        try {
            $act();
        } catch (NotAMove $fault) {
            throw ValidationException::withMessages([$field => $fault->getMessage()]);
        }

        return back();
    }
}
