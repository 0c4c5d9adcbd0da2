<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Text;
use Illuminate\Foundation\Http\FormRequest;

/** What came of a plan: when it was begun, when all cards were free, when all was safe. */
final class TellOutcome extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'begun' => ['bail', 'required', 'string', 'date'],
            'free' => ['bail', 'nullable', 'string', 'date', 'after_or_equal:begun'],
            'done' => ['bail', 'nullable', 'string', 'date', 'after:begun'],
            'note' => ['bail', 'nullable', Text::upTo(300)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $time = 'give a day and a time, such as 2026-11-27 21:58.';

        return [
            'begun.required' => 'When it was begun is empty: '.$time,
            'begun' => 'The beginning was “:input”: '.$time,
            'free.after_or_equal' => 'The cards cannot have been free before it was begun. Correct one of the two times.',
            'free' => 'The time at which the cards were free was “:input”: '.$time,
            'done.after' => 'It cannot have been safe before it was begun. Correct one of the two times.',
            'done' => 'The time at which all was safe was “:input”: '.$time,
        ];
    }

    /** @return array<string, mixed> as the books have it */
    public function outcome(): array
    {
        return [
            'begun_at' => $this->date('begun'),
            'free_at' => $this->filled('free') ? $this->date('free') : null,
            'done_at' => $this->filled('done') ? $this->date('done') : null,
            'note' => $this->filled('note') ? trim($this->string('note')->value()) : null,
        ];
    }
}
