<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A plan, and what time and money are to a thing that would help it. */
final class AskWhatIf extends AskPlan
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $amount = ['nullable', 'numeric', 'min:0', 'max:1000000'];

        return [...parent::rules(), 'price' => $amount, 'hour' => $amount, 'month' => $amount];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...parent::messages(),
            'price' => 'The price was “:input”: give a number, such as 180.',
            'hour' => 'The value of an hour was “:input”: give a number, such as 45.',
            'month' => 'The offloads a month were “:input”: give a number, such as 12.',
        ];
    }

    /** 0 where nothing was said. */
    public function amount(string $field): float
    {
        return $this->filled($field) ? $this->float($field) : 0.0;
    }
}
