<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;

/** A size that is a part of another one. */
final class NotMoreThan implements DataAwareRule, ValidationRule
{
    /** @var array<array-key, mixed> */
    private array $data = [];

    /**
     * @param  string  $whole  the field that it is a part of; where that is empty or no size, nothing is said
     * @param  string  $words  what stands between the two, such as “cannot be free on a drive of”
     */
    public function __construct(private readonly string $whole, private readonly string $words) {}

    /** @param  array<array-key, mixed>  $data */
    public function setData(array $data): static
    {
        $this->data = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        [$part, $whole] = [self::size($value), self::size($this->data[$this->whole] ?? null)];
        if ($part !== null && $whole !== null && $part->count > $whole->count) {
            $fail("{$part->decimal()} {$this->words} {$whole->decimal()}.");
        }
    }

    private static function size(mixed $typed): ?Bytes
    {
        try {
            return is_scalar($typed) && trim((string) $typed) !== '' ? Bytes::parse((string) $typed, 'GB') : null;
        } catch (NotAQuantity) {
            return null;
        }
    }
}
