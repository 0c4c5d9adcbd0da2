<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Day;
use App\Rules\DayUpToToday;
use DateTimeImmutable;

/** Something that was measured by hand: on a day, by somebody, perhaps with a note. */
trait SignedAndDated
{
    /** @return array<string, list<mixed>> */
    private function signedRules(): array
    {
        return [
            'on' => ['bail', 'required', new DayUpToToday()],
            'by' => ['required', 'string', 'max:80'],
            'note' => ['nullable', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    private function signedMessages(): array
    {
        return [
            'on.required' => 'The day is empty. Write when it was measured, such as 2026-11-25.',
        ];
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
