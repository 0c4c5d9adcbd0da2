<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Day;
use App\Rules\DayUpToToday;
use App\Rules\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tally\Shoot\BodyAnswer;

/** What a body said of a card. */
final class LogTrial extends FormRequest
{
    use LoggedAtCamera;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...$this->cameraRules(),
            'answer' => ['bail', 'required', Rule::enum(BodyAnswer::class)],
            'firmware' => ['bail', 'nullable', 'string', Text::upTo(40)],
            'tried_on' => ['bail', 'required', new DayUpToToday()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->cameraMessages(),
            'answer' => 'What the body said was “:input”. Choose one of the list.',
            'firmware.string' => 'The firmware is no text. Write it as the body’s menu has it, such as 2.1.',
            'tried_on.required' => 'The day is empty. Write when it was tried, such as 2026-11-25.',
        ];
    }

    /** @return array<string, mixed> the row, but for the card */
    public function trial(): array
    {
        $firmware = trim($this->string('firmware')->value());

        return [
            'camera_id' => $this->integer('camera_id'),
            'answer' => BodyAnswer::from($this->string('answer')->value()),
            'firmware' => $firmware === '' ? null : $firmware,
            'by' => $this->by(),
            'tried_at' => Day::read($this->string('tried_on')->value()),
        ];
    }
}
