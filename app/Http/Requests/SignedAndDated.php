<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Intake\Day;
use DateTimeImmutable;
use Illuminate\Validation\Validator;

/** Something that was measured by hand: on a day, by somebody, perhaps with a note. */
trait SignedAndDated
{
    /** @return array<string, list<string>> */
    private function signedRules(): array
    {
        return [
            'on' => ['required', 'string', 'max:40'],
            'by' => ['required', 'string', 'max:80'],
            'note' => ['nullable', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    private function signedMessages(): array
    {
        return [
            'on.required' => 'The day is empty. Write when it was measured, such as 2026-11-25.',
            'max' => 'This is longer than it can be. Shorten it.',
            'string' => 'Text was expected here.',
        ];
    }

    private function checkDay(Validator $validator): void
    {
        $day = Day::read($this->string('on')->value());
        if ($day === null || $day > new DateTimeImmutable('tomorrow')) {
            $validator->errors()->add('on', "“{$this->string('on')}” is not a day up to today. Write it as 2026-11-25 or 25 Nov 2026.");
        }
    }

    public function day(): DateTimeImmutable
    {
        return Day::read($this->string('on')->value()) ?? new DateTimeImmutable();
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
    }

    public function note(): ?string
    {
        $note = trim($this->string('note')->value());

        return $note === '' ? null : $note;
    }
}
