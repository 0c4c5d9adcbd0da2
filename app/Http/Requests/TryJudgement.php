<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use Tally\Reading\Thresholds;

/** Rules of judgement to be tried on every card: shares in percent. */
final class TryJudgement extends FormRequest
{
    use SaysWhy;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = $this->whyRules();
        foreach (Thresholds::SENSE as $field => [$least, $most]) {
            $rules[$field] = ['bail', 'required', 'numeric', 'min:'.round(100 * $least), 'max:'.round(100 * $most)];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $messages = $this->whyMessages();
        foreach (Thresholds::SENSE as $field => [$least, $most]) {
            $messages[$field] = '“:input” makes no sense: give percent, from '.round(100 * $least).' to '.round(100 * $most).'.';
        }

        return $messages;
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isEmpty() && $this->float('short') > $this->float('near')) {
                $most = $this->string('near')->value();
                $validator->errors()->add('short', "What is Slow must lie under what counts as reached: give {$most} or less.");
            }
        });
    }

    public function thresholds(): Thresholds
    {
        return new Thresholds(...array_map(fn (string $field): float => $this->float($field) / 100, self::fields()));
    }

    /** @return array<string, string> */
    private static function fields(): array
    {
        return array_combine(array_keys(Thresholds::SENSE), array_keys(Thresholds::SENSE));
    }
}
