<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Ledger\LedgerRules;
use App\Rules\Text;
use Illuminate\Foundation\Http\FormRequest;

/** When cards are tested again, and why that is changed. */
final class KeepDueRules extends FormRequest
{
    /** field → rule of the house */
    private const FIELDS = [
        'proveMonths' => 'ledger.prove_months',
        'measureMonths' => 'ledger.measure_months',
        'fills' => 'ledger.fills',
        'afterIncident' => 'ledger.after_incident',
        'shootDays' => 'ledger.shoot_days',
        'shootMonths' => 'ledger.shoot_months',
    ];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = ['why' => ['bail', 'required', 'string', Text::upTo(200)], 'by' => ['bail', 'required', 'string', 'max:80']];
        foreach (self::FIELDS as $field => $name) {
            [, $least, $most] = LedgerRules::ALL[$name];
            $rules[$field] = ['bail', 'required', 'integer', "min:{$least}", "max:{$most}"];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $messages = [
            'why.required' => 'No reason is given. Write why the house goes by something else from now on.',
            'why.string' => 'The reason was not sent as text. Write why the house goes by something else.',
            'by.required' => 'Nobody is named. Write who changes it.',
            'by' => 'The name is longer than 80 characters. Write a shorter one.',
        ];
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

    public function why(): string
    {
        return trim($this->string('why')->value());
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
    }
}
