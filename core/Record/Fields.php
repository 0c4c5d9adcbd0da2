<?php

declare(strict_types=1);

namespace Tally\Record;

use InvalidArgumentException;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;

/**
 * An object of a JSON file or column, read field by field: each is what it should be, or a sentence says which one is not.
 */
final readonly class Fields
{
    /** Larger than any offset, speed or time that can be measured; what is above it only blanks pictures. */
    private const LARGEST = 1e18;

    /**
     * @param  array<mixed>  $values
     * @param  string  $at  where the object stands, for the sentences
     */
    public function __construct(public array $values, public string $at = '') {}

    public function has(string $key): bool
    {
        return ($this->values[$key] ?? null) !== null;
    }

    public function name(string $key): string
    {
        return $this->at === '' ? $key : "{$this->at}.{$key}";
    }

    /** @throws NotUsable */
    public function integer(string $key, ?int $default = null): int
    {
        $value = $this->values[$key] ?? ($default ?? $this->miss($key, 'give a whole number.'));

        return match (true) {
            is_int($value) => $value,
            is_float($value) && floor($value) === $value && abs($value) < 2 ** 62 => (int) $value,
            // Above 2⁵³ they are kept as text, since who reads them in a browser would round them.
            is_string($value) && (string) (int) $value === $value => (int) $value,
            default => throw $this->wrong($key, 'give a whole number.'),
        };
    }

    /**
     * A size, an offset, a count of things.
     *
     * @throws NotUsable
     */
    public function count(string $key, ?int $default = null): int
    {
        $value = $this->integer($key, $default);

        return $value >= 0 ? $value : throw $this->wrong($key, 'give a number that is not below nothing.');
    }

    /** @throws NotUsable */
    public function number(string $key, ?float $default = null): float
    {
        $value = $this->values[$key] ?? ($default ?? $this->miss($key, 'give a number.'));

        return (is_int($value) || is_float($value)) && abs((float) $value) <= self::LARGEST
            ? (float) $value
            : throw $this->wrong($key, 'give a number.');
    }

    /** @throws NotUsable */
    public function boolean(string $key, bool $default = false): bool
    {
        $value = $this->values[$key] ?? $default;

        return is_bool($value) ? $value : throw $this->wrong($key, 'say true or false.');
    }

    /** @throws NotUsable */
    public function text(string $key, ?string $default = null): string
    {
        $value = $this->values[$key] ?? ($default ?? $this->miss($key, 'give a text.'));

        return is_string($value) ? $value : throw $this->wrong($key, 'give a text.');
    }

    /** @throws NotUsable */
    public function textOrNull(string $key): ?string
    {
        return $this->has($key) ? $this->text($key) : null;
    }

    /** @throws NotUsable */
    public function countOrNull(string $key): ?int
    {
        return $this->has($key) ? $this->count($key) : null;
    }

    /** @throws NotUsable */
    public function numberOrNull(string $key): ?float
    {
        return $this->has($key) ? $this->number($key) : null;
    }

    /**
     * @return list<mixed> empty where it is missing
     *
     * @throws NotUsable
     */
    public function list(string $key): array
    {
        $value = $this->values[$key] ?? [];

        return is_array($value) && array_is_list($value) ? $value : throw $this->wrong($key, 'give a list.');
    }

    /**
     * @return list<float>
     *
     * @throws NotUsable when one of them is no number above nothing
     */
    public function rates(string $key): array
    {
        $rates = [];
        foreach ($this->list($key) as $i => $one) {
            $rates[] =
                (is_int($one) || is_float($one)) && $one > 0 && $one < 1e13
                    ? (float) $one
                    : throw NotUsable::field("{$this->name($key)}[{$i}]", $one, 'give bytes a second, above nothing.');
        }

        return $rates;
    }

    /**
     * @return list<string>
     *
     * @throws NotUsable
     */
    public function texts(string $key): array
    {
        $texts = [];
        foreach ($this->list($key) as $i => $one) {
            $texts[] = is_string($one) ? $one : throw NotUsable::field("{$this->name($key)}[{$i}]", $one, 'give a text.');
        }

        return $texts;
    }

    /**
     * An object in it; an empty one where it is missing.
     *
     * @throws NotUsable
     */
    public function fields(string $key): self
    {
        $value = $this->values[$key] ?? [];

        return is_array($value) ? new self($value, $this->name($key)) : throw $this->wrong($key, 'give an object.');
    }

    /**
     * A list of objects, or of rows with numbered columns.
     *
     * @return list<self>
     *
     * @throws NotUsable
     */
    public function rows(string $key): array
    {
        $rows = [];
        foreach ($this->list($key) as $i => $row) {
            $rows[] = is_array($row)
                ? new self($row, "{$this->name($key)}[{$i}]")
                : throw NotUsable::field("{$this->name($key)}[{$i}]", $row, 'give an object or a row.');
        }

        return $rows;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     *
     * @throws NotUsable
     */
    public function choice(string $key, string $enum): mixed
    {
        $value = $this->text($key);

        return $enum::tryFrom($value) ??
            throw $this->wrong(
                $key,
                'one of these would do: '.
                    implode(', ', array_map(fn (\BackedEnum $one): string => (string) $one->value, $enum::cases())).
                    '.',
            );
    }

    /**
     * A size as people write it, `127.87 GB`, or a number of bytes.
     *
     * @throws NotUsable
     */
    public function size(string $key): Bytes
    {
        try {
            $value = $this->values[$key] ?? $this->miss($key, 'write a size, such as 1 GB.');

            return is_string($value) ? Bytes::parse($value) : Bytes::of($this->count($key));
        } catch (NotAQuantity $fault) {
            throw $this->wrong($key, $fault->getMessage());
        }
    }

    /**
     * A speed as people write it, `95 MB/s`.
     *
     * @throws NotUsable
     */
    public function rate(string $key): Rate
    {
        return self::readRate($this->values[$key] ?? $this->miss($key, 'write a speed, such as 95 MB/s.'), $this->name($key));
    }

    /** @throws NotUsable */
    public static function readRate(mixed $value, string $name): Rate
    {
        try {
            return match (true) {
                is_string($value) => Rate::parse($value),
                is_int($value) || is_float($value) => Rate::bytesPerSecond((float) $value),
                default => throw NotUsable::field($name, $value, 'write a speed, such as 95 MB/s.'),
            };
        } catch (InvalidArgumentException $fault) {
            throw NotUsable::field($name, $value, $fault->getMessage());
        }
    }

    public function wrong(string $key, string $wanted): NotUsable
    {
        return $this->has($key)
            ? NotUsable::field($this->name($key), $this->values[$key], $wanted)
            : NotUsable::missing($this->name($key), $wanted);
    }

    private function miss(string $key, string $wanted): never
    {
        throw NotUsable::missing($this->name($key), $wanted);
    }
}
