<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Date;

/** What happened, in one line, and who says so. */
final class LogIncident extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'line' => ['bail', 'required', 'string', Text::upTo(200)],
            'by' => ['bail', 'required', 'string', 'max:80'],
            'at' => ['nullable', 'date', 'after:2000-01-01', 'before_or_equal:now'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'line.required' => 'Nothing is written. Write what happened, such as: QS-014 stuck in R3.',
            'line.string' => 'What happened was not sent as text. Write it in one line.',
            'by.required' => 'Nobody is named. Write who was there.',
            'by' => 'The name is longer than 80 characters. Write a shorter one.',
            'at' => 'When it happened was “:input”: give a day and a time up to now, such as 2026-11-27 21:58; or leave it out.',
        ];
    }

    public function line(): string
    {
        return trim($this->string('line')->value());
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
    }

    public function at(): Carbon
    {
        return $this->filled('at') ? Date::parse($this->string('at')->value()) : Date::now();
    }
}
