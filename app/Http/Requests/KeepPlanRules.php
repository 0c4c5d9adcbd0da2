<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Offload\PlanRules;
use Illuminate\Foundation\Http\FormRequest;

/** How long hands and files take in this house. */
final class KeepPlanRules extends FormRequest
{
    use SaysWhy;

    /** field → rule of the house */
    private const FIELDS = ['swap' => 'plan.swap', 'first' => 'plan.first', 'overhead' => 'plan.overhead'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = $this->whyRules();
        foreach (self::FIELDS as $field => $name) {
            [$least, $most] = PlanRules::ALL[$name];
            $rules[$field] = ['bail', 'required', 'numeric', "min:{$least}", "max:{$most}"];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $messages = $this->whyMessages();
        foreach (self::FIELDS as $field => $name) {
            [$least, $most] = PlanRules::ALL[$name];
            $messages[$field] = "“:input” would not do: give seconds, from {$least} to {$most}.";
        }

        return $messages;
    }

    /** @return array<string, float> by name */
    public function values(): array
    {
        return array_map($this->float(...), array_flip(self::FIELDS));
    }
}
