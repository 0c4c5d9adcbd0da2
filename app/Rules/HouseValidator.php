<?php

declare(strict_types=1);

namespace App\Rules;

use Illuminate\Contracts\Translation\Translator;
use Illuminate\Support\Str;
use Illuminate\Validation\Validator;

/** Laravel's validator, with sentences that quote what was given without printing all of it, and lists not at all. */
final class HouseValidator extends Validator
{
    private const QUOTED = 40;

    /**
     * @param  array<array-key, mixed>  $data
     * @param  array<array-key, mixed>  $rules
     * @param  array<array-key, mixed>  $messages
     * @param  array<array-key, mixed>  $attributes
     */
    public static function of(Translator $translator, array $data, array $rules, array $messages, array $attributes): self
    {
        return new self($translator, $data, $rules, $messages, $attributes);
    }

    /**
     * @param  string  $message
     * @param  string  $attribute
     */
    protected function replaceInputPlaceholder($message, $attribute): string
    {
        $value = $this->getValue($attribute);
        $shown = is_scalar($value) || $value === null ? $this->getDisplayableValue($attribute, $value) : 'a list';

        return str_replace(':input', Str::limit(mb_scrub($shown), self::QUOTED, '…'), $message);
    }
}
