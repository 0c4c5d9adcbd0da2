<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Tally\Practice\Level;
use Tally\Practice\NextExercise;
use Tally\Practice\PracticeSet;

/** A set of exercises to be printed, by its seed. */
final class AskPracticeSet extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'seed' => ['bail', 'required', 'integer', 'min:1', 'max:'.NextExercise::MOST],
            'level' => ['bail', 'nullable', 'integer', 'min:1', 'max:'.count(Level::cases())],
            'count' => ['bail', 'nullable', 'integer', 'min:1', 'max:'.PracticeSet::MOST],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'seed' => 'A set goes by its seed: a whole number from 1 to '.NextExercise::MOST.'.',
            'level' => '“:input” is no level of practice. A whole number from 1 to '.count(Level::cases()).' would do, or nothing.',
            'count' => '“:input” exercises cannot be printed. A whole number from 1 to '.PracticeSet::MOST.' would do.',
        ];
    }

    public function set(): PracticeSet
    {
        return PracticeSet::seeded(
            $this->integer('seed'),
            $this->filled('level') ? Level::from($this->integer('level')) : null,
            $this->integer('count', 6),
        );
    }
}
