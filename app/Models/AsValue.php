<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use InvalidArgumentException;
use Tally\Value\OwnJson;
use Tally\Value\Values;
use WeakMap;

/**
 * A column that holds a value, or a list of them: a quantity as its number, anything else as JSON. `AsValue::class.':'.Rate::class`,
 * `AsValue::class.':'.KnownRate::class.',list'`.
 *
 * @implements CastsAttributes<mixed, mixed>
 */
final class AsValue implements CastsAttributes
{
    /** Eloquent would write each value that was read back into its column whenever it looks at one; these never change. */
    public bool $withoutObjectCaching = true;

    private readonly bool $isOwn;

    /** @var WeakMap<Model, array<string, array{mixed, mixed}>>|null by column: as it lies there, and as it was read */
    private static ?WeakMap $read = null;

    /** @param  class-string  $class */
    public function __construct(private readonly string $class, private readonly ?string $list = null)
    {
        $this->isOwn = is_a($class, OwnJson::class, true);
    }

    public function get(Model $model, string $key, mixed $value, array $attributes): mixed
    {
        if ($value === null) {
            return null;
        }
        self::$read ??= new WeakMap();
        $known = self::$read[$model][$key] ?? null;
        if ($known === null || $known[0] !== $value) {
            self::$read[$model] = [...self::$read[$model] ?? [], $key => $known = [$value, $this->asValue($value, $key)]];
        }

        return $known[1];
    }

    private function asValue(mixed $value, string $key): mixed
    {
        $given = is_string($value) && (! $this->isOwn || is_numeric($value)) ? json_decode($value, true) : $value;

        return $this->list === null
            ? $this->read($given, $key)
            : array_map(fn (mixed $one): object => $this->read($one, $key), (array) $given);
    }

    /** @return int|float|string|null a number, or JSON */
    public function set(Model $model, string $key, mixed $value, array $attributes): int|float|string|null
    {
        $plain = match (true) {
            $value === null || $value instanceof $this->class => Values::plain($value),
            // A number is a quantity too; what is plain already, as the database gave it to another row, is checked.
            $this->list === null => Values::plain($this->read($value, $key)),
            is_array($value) => Values::plain($value),
            default => throw new InvalidArgumentException("“{$key}” is a list: give one."),
        };

        return $plain === null || is_int($plain) || is_float($plain) ? $plain : Values::json($plain);
    }

    private function read(mixed $given, string $key): object
    {
        return Values::read($this->class, $given, $key);
    }
}
