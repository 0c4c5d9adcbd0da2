<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Text;

/** A change of the rules of the house: who makes it, and why. */
trait SaysWhy
{
    /** @return array<string, list<mixed>> */
    private function whyRules(): array
    {
        return ['why' => ['bail', 'required', 'string', Text::upTo(200)], 'by' => ['bail', 'required', 'string', 'max:80']];
    }

    /** @return array<string, string> */
    private function whyMessages(): array
    {
        return [
            'why.required' => 'No reason is given. Write why the house goes by something else from now on.',
            'why.string' => 'The reason was not sent as text. Write why the house goes by something else.',
            'by.required' => 'Nobody is named. Write who changes it.',
            'by' => 'The name is longer than 80 characters. Write a shorter one.',
        ];
    }

    public function why(): string
    {
        return trim($this->string('why')->value());
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
    }
}
