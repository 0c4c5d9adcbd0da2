<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Person;
use App\Http\Requests\KeepFitRules;
use App\Http\Requests\LogBurst;
use App\Http\Requests\LogStop;
use App\Http\Requests\LogTrial;
use App\Models\Cards\Card;
use App\Models\Kit\CameraMode;
use App\Models\Shoot\BodyTrial;
use App\Models\Shoot\LoggedBurst;
use App\Models\Shoot\StoppedRecording;
use App\Pages\Card\FitPage;
use App\Pages\House\FitModePage;
use App\Pages\Page;
use App\Shoot\FitRules;
use App\Shoot\StopBook;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Tally\Label\Line\LabelReader;
use Tally\Shoot\Ability;

/** Which card may record what, and for how long. */
final readonly class FitController
{
    public function card(Request $request, Card $card): Page
    {
        return FitPage::ofCard($card, Person::of($request));
    }

    /** A label alone, before anything is bought: would such a card do? */
    public function label(Request $request): Page
    {
        $words = $request->query('words');
        $asked = is_string($words) ? trim(mb_substr($words, 0, 200)) : '';
        $label = $asked === '' ? null : LabelReader::read($asked)->label();
        $complaint = $asked === '' || $label !== null
            ? ''
            : "“{$asked}” names no capacity or form. Write it as the label has it, such as 128GB SDXC II V60.";

        return FitPage::ofLabel($asked, $label === null ? null : Ability::ofLabel($label), $complaint, Person::of($request));
    }

    public function mode(CameraMode $mode): Page
    {
        return FitModePage::of($mode);
    }

    public function rules(KeepFitRules $request): RedirectResponse
    {
        $by = $request->by() ?? Person::of($request) ?? '';
        FitRules::keep($request->criterion(), $request->spare(), $request->usable(), $by, why: $request->why());

        return back();
    }

    public function burst(LogBurst $request, Card $card): RedirectResponse
    {
        $burst = $request->burst();
        LoggedBurst::query()->create([
            'camera_id' => $request->integer('camera_id'),
            'card_id' => $card->id,
            'frames' => $burst->frames,
            'frame' => $burst->frame,
            'per_second' => $burst->perSecond,
            'clear' => $burst->clear->seconds,
            'by' => $request->by(),
            'logged_at' => now(),
        ]);
        Person::remember($request->by());

        return back();
    }

    /** What a body said of a card that was put into it. */
    public function trial(LogTrial $request, Card $card): RedirectResponse
    {
        BodyTrial::query()->create([...$request->trial(), 'card_id' => $card->id]);
        Person::remember($request->by());

        return back();
    }

    public function stop(LogStop $request, Card $card): RedirectResponse
    {
        DB::transaction(function () use ($request, $card): void {
            $stop = StoppedRecording::query()->create([...$request->stop(), 'card_id' => $card->id, 'logged_at' => now()]);
            StopBook::enter($stop);
        });
        Person::remember($request->by());

        return back();
    }
}
