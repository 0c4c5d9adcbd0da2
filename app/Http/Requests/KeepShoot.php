<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Text;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Date;
use Illuminate\Validation\Rule;

/** A whole shoot that is kept under a name, with the day it begins. */
final class KeepShoot extends AskShoot
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'name' => ['bail', 'required', 'string', Text::upTo(80), Rule::unique('shoots', 'name')],
            'begins' => ['bail', 'required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01'],
            'by' => ['bail', 'required', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...parent::messages(),
            'name.required' => 'The name is empty. Write what this shoot is, such as: sea wall, spring tide.',
            'name.string' => 'The name was not sent as text. Write what this shoot is.',
            'name.unique' => 'Another shoot is called “:input” already. Choose another name.',
            'begins' => 'The first day was “:input”: write it as 2026-11-27.',
            'by.required' => 'Nobody is named. Write who keeps it.',
            'by' => 'The name is longer than 80 characters. Write a shorter one.',
        ];
    }

    public function name(): string
    {
        return trim($this->string('name')->value());
    }

    public function begins(): Carbon
    {
        return Date::createFromFormat('!Y-m-d', $this->string('begins')->value()) ?? Date::today();
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
    }
}
