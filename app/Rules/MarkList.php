<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Contracts\Validation\ValidatorAwareRule;
use Illuminate\Validation\Validator;
use Tally\Label\Mark;

/** Marks that a label carries, ticked or written one after another. Each wrong one is said under its own place: marks.2 */
final class MarkList implements ValidationRule, ValidatorAwareRule
{
    private const MOST = 12;

    private const LONGEST = 40;

    private ?Validator $validator = null;

    public function setValidator(Validator $validator): static
    {
        $this->validator = $validator;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $given = self::split($value);
        if ($given === null || count($given) > self::MOST) {
            $fail('The marks were not sent as a list. Tick the ones that are printed.');

            return;
        }
        $before = [];
        foreach ($given as $i => $one) {
            $mark = self::mark($one);
            $words = is_string($one) ? mb_substr($one, 0, self::LONGEST) : '';
            if ($mark === null) {
                $this->validator?->errors()->add(
                    "{$attribute}.{$i}",
                    "The mark “{$words}” is not one of the list. Tick the ones that are printed.",
                );
            } elseif (in_array($mark, $before, true)) {
                $this->validator?->errors()->add("{$attribute}.{$i}", "The mark “{$words}” was given twice.");
            } else {
                $before[] = $mark;
            }
        }
    }

    /** @return list<Mark> those that are marks, each once */
    public static function good(mixed $typed): array
    {
        $given = self::split($typed) ?? [];
        $read = array_map(self::mark(...), count($given) > self::MOST ? [] : $given);
        $marks = array_filter($read, fn (?Mark $mark): bool => $mark !== null);

        return array_values(array_unique($marks, SORT_REGULAR));
    }

    /** @return list<mixed>|null */
    private static function split(mixed $typed): ?array
    {
        if (is_string($typed)) {
            $typed = preg_split('/[\s,;\/]+/', trim($typed), -1, PREG_SPLIT_NO_EMPTY);
        }

        return is_array($typed) ? array_values($typed) : null;
    }

    private static function mark(mixed $one): ?Mark
    {
        return is_string($one) ? Mark::tryFrom(strtoupper($one)) : null;
    }
}
