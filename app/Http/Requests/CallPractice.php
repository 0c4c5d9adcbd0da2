<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Quantity;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tally\Practice\Call;
use Tally\Practice\Holds;
use Tally\Quantity\Bytes;
use Tally\Verdict\VerdictKind;

/** How a round is called: verdict, what holds the first figure, and how much it really keeps. */
final class CallPractice extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'verdict' => ['bail', 'required', Rule::enum(VerdictKind::class)],
            'holds' => ['bail', 'required', Rule::enum(Holds::class)],
            'keeps' => ['bail', 'nullable', Quantity::capacity()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'verdict.required' => 'No verdict is given. Choose one of the five.',
            'verdict' => '“:input” is no verdict. One of the five would do: Sound, Slow, Shaky, Sham, Unproven.',
            'holds.required' => 'Nothing is named that holds the figure. Choose the card, the slot or the link.',
            'holds' => '“:input” holds no figure. One of these would do: card, slot, link.',
        ];
    }

    public function call(): Call
    {
        return new Call(
            VerdictKind::from($this->string('verdict')->value()),
            Holds::from($this->string('holds')->value()),
            $this->filled('keeps') ? Bytes::parse($this->string('keeps')->value(), 'GB') : null,
        );
    }
}
