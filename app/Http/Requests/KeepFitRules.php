<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Text;
use App\Shoot\FitRules;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tally\Shoot\FitCriterion;

/** By which criterion the house goes, and with how much to spare. */
final class KeepFitRules extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'criterion' => ['bail', 'required', Rule::enum(FitCriterion::class)],
            'spare' => ['bail', 'required', 'numeric', 'min:1', 'max:'.FitRules::MOST_MARGIN],
            'usable' => ['bail', 'required', 'numeric', 'min:'.FitRules::LEAST_USABLE, 'max:1'],
            'why' => ['bail', 'nullable', 'string', Text::upTo(200)],
            'by' => ['bail', 'nullable', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'criterion' => 'The criterion was “:input”. Choose one of the three.',
            'spare' => 'The margin was “:input”. From 1 (none) to '.FitRules::MOST_MARGIN.' would do; 1.25 is the house rule.',
            'why.string' => 'The reason was not sent as text. Write why the house goes by something else.',
            'by' => 'The name is longer than 80 characters. Write a shorter one.',
            'usable' => 'The usable share was “:input”. From '.FitRules::LEAST_USABLE.' to 1 would do: 1 is the whole card.',
        ];
    }

    public function criterion(): FitCriterion
    {
        return FitCriterion::from($this->string('criterion')->value());
    }

    /** @return string|null null where it was switched at Fit, where nobody asks why */
    public function why(): ?string
    {
        return $this->filled('why') ? trim($this->string('why')->value()) : null;
    }

    /** @return string|null who changes it, where that was typed */
    public function by(): ?string
    {
        return $this->filled('by') ? trim($this->string('by')->value()) : null;
    }

    public function spare(): float
    {
        return $this->float('spare');
    }

    public function usable(): float
    {
        return $this->float('usable');
    }
}
