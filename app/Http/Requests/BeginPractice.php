<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Text;
use Illuminate\Foundation\Http\FormRequest;
use Tally\Practice\Level;
use Tally\Practice\NextExercise;

/** Which level, which seed of a shared set, and who practises. */
final class BeginPractice extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'level' => ['bail', 'required', 'integer', 'min:1', 'max:'.count(Level::cases())],
            'seed' => ['bail', 'nullable', 'integer', 'min:1', 'max:'.NextExercise::MOST],
            'by' => ['bail', 'required', 'string', Text::upTo(80)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'level' => '“:input” is no level of practice. A whole number from 1 to '.count(Level::cases()).' would do.',
            'seed' => '“:input” is no seed. A whole number from 1 to '.NextExercise::MOST.' would do, or nothing.',
            'by.required' => 'Nobody is named. Write who practises, so that the figures are theirs.',
            'by.string' => 'The name was not sent as text. Write who practises.',
        ];
    }

    public function level(): Level
    {
        return Level::from($this->integer('level'));
    }

    public function seed(): ?int
    {
        return $this->filled('seed') ? $this->integer('seed') : null;
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
    }
}
