<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Evidence\Overruling;
use App\Http\Person;
use App\Models\Cards\Card;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Tally\Verdict\VerdictKind;

/** A person says otherwise than the evidence, and why. */
final readonly class OverruleController
{
    public function say(Request $request, Card $card): RedirectResponse
    {
        $request->validate(
            [
                'verdict' => ['required', 'string', Rule::enum(VerdictKind::class)],
                'reason' => ['required', 'string', 'max:300'],
                'by' => ['required', 'string', 'max:80'],
            ],
            [
                'verdict.required' => 'No verdict was chosen. Choose the one that should stand.',
                'verdict' => '“:input” is no verdict. One of these would do: '.
                    implode(', ', array_map(fn (VerdictKind $kind): string => $kind->value, VerdictKind::cases())).
                    '.',
                'reason.required' => 'No reason was given. Say why the evidence is wrong, such as: the maker checked it and vouches '.
                'for it.',
                'reason.max' => 'The reason is longer than 300 characters. Shorten it.',
                'by.required' => 'Nobody is named. Write who overrules it.',
                'by.max' => 'The name is longer than 80 characters. Write a shorter one.',
            ],
        );
        Overruling::say(
            $card,
            VerdictKind::from($request->string('verdict')->value()),
            trim($request->string('reason')->value()),
            trim($request->string('by')->value()),
        );
        Person::remember(trim($request->string('by')->value()));

        return back();
    }

    public function withdraw(Request $request, Card $card): RedirectResponse
    {
        $request->validate(
            ['reason' => ['required', 'string', 'max:300']],
            [
                'reason.required' => 'No reason was given. Say why the derived verdict stands again.',
                'reason.max' => 'The reason is longer than 300 characters. Shorten it.',
            ],
        );

        return Overruling::withdraw($card, trim($request->string('reason')->value()))
            ? back()
            : back()->withErrors(['reason' => 'Nobody overrules its verdict any more: the derived one stands. Load the page again.']);
    }
}
