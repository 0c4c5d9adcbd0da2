<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Evidence\LedgerRules;
use Illuminate\Foundation\Http\FormRequest;

/** When cards are tested again, and why that is changed. */
final class KeepDueRules extends FormRequest
{
    use SaysWhy;

    /** field → rule of the house */
    private const FIELDS = [
        'proveMonths' => 'ledger.prove_months',
        'measureMonths' => 'ledger.measure_months',
        'fills' => 'ledger.fills',
        'afterIncident' => 'ledger.after_incident',
        'shootDays' => 'ledger.shoot_days',
        'shootMonths' => 'ledger.shoot_months',
        'retireYears' => 'ledger.retire_years',
        'retireFills' => 'ledger.retire_fills',
    ];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = $this->whyRules();
        foreach (self::FIELDS as $field => $name) {
            [, $least, $most] = LedgerRules::ALL[$name];
            $rules[$field] = ['bail', 'required', 'integer', "min:{$least}", "max:{$most}"];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $messages = $this->whyMessages();
        foreach (self::FIELDS as $field => $name) {
            [$standard, $least, $most] = LedgerRules::ALL[$name];
            $messages[$field] = "“:input” would not do: a whole number from {$least} to {$most}; {$standard} is the standard.";
        }

        return $messages;
    }

    /** @return array<string, int> by name */
    public function values(): array
    {
        return array_map($this->integer(...), array_flip(self::FIELDS));
    }
}
