<?php

declare(strict_types=1);

namespace App\Kit;

use BackedEnum;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\ValidationException;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** What was typed about a piece of gear, or about a part of it, after it was found good. */
final readonly class TypedGear
{
    /** @param  array<array-key, mixed>  $fields */
    private function __construct(private array $fields) {}

    /**
     * @param  array<array-key, mixed>  $given
     *
     * @throws ValidationException with a sentence under each field that cannot be taken
     */
    public static function checked(KitSection $section, ?string $key, array $given): self
    {
        $messages = [...KitRules::messages(), ...$section->messages()];

        return new self(Validator::make($given, $section->rules($key), $messages)->validate());
    }

    /** @return list<self> */
    public function parts(string $name): array
    {
        $parts = $this->fields[$name] ?? [];

        return array_map(fn (mixed $part): self => new self((array) $part), is_array($parts) ? array_values($parts) : []);
    }

    public function text(string $field): string
    {
        $text = $this->fields[$field] ?? '';

        return is_scalar($text) ? trim((string) $text) : '';
    }

    public function tag(): string
    {
        return strtoupper($this->text('tag'));
    }

    /** @return int|null the number of something else in the books; null where none was chosen */
    public function id(string $field): ?int
    {
        return $this->text($field) === '' ? null : (int) $this->text($field);
    }

    public function isSo(string $field): bool
    {
        return $this->text($field) === '1';
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $kind
     * @return list<T>
     */
    public function several(string $field, string $kind): array
    {
        $keys = $this->fields[$field] ?? [];

        return array_map(fn (string $key): BackedEnum => $kind::from($key), array_values(array_filter((array) $keys, is_string(...))));
    }

    /** @return float|null bytes a second */
    public function rate(string $field): ?float
    {
        return $this->text($field) === '' ? null : Rate::parse($this->text($field))->bytesPerSecond;
    }

    /** @return int|null bytes */
    public function size(string $field): ?int
    {
        return $this->text($field) === '' ? null : Bytes::parse($this->text($field), 'GB')->count;
    }

    /** @return array{measured: float|null, measured_how: string|null} the house's own figure, and how it was got */
    public function measured(): array
    {
        $rate = $this->rate('measured');

        return ['measured' => $rate, 'measured_how' => $rate === null ? null : $this->text('measured_how')];
    }
}
