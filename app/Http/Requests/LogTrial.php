<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tally\Shoot\BodyAnswer;

/** What a body said of a card. */
final class LogTrial extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'camera_id' => ['bail', 'required', 'integer', 'exists:cameras,id'],
            'answer' => ['bail', 'required', Rule::enum(BodyAnswer::class)],
            'firmware' => ['bail', 'nullable', 'string', Text::upTo(40)],
            'tried_on' => ['bail', 'required', 'date_format:Y-m-d', 'before_or_equal:tomorrow'],
            'by' => ['required', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'camera_id' => 'This camera is not in the kit. Choose one of the list.',
            'answer' => 'What the body said was “:input”. Choose one of the list.',
            'firmware.string' => 'The firmware is no text. Write it as the body’s menu has it, such as 2.1.',
            'tried_on' => 'The day was “:input”. Write the day on which it was tried as 2026-11-27.',
            'by.required' => 'Nobody is named. Write who tried it.',
            'by.max' => 'The name is longer than 80 characters. Write a shorter one.',
        ];
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
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
            'tried_at' => $this->string('tried_on')->value(),
        ];
    }
}
