<?php

declare(strict_types=1);

namespace Tally\Value;

use BackedEnum;
use JsonSerializable;
use stdClass;

/**
 * Values in JSON and back. What a value is made of is said once, by its constructor: the names of its fields, their types,
 * those of lists by docblock, and what is taken where one is missing.
 */
final readonly class Values
{
    /** Above it a number would be rounded by who reads it in a browser: it is written as text. */
    private const ROUNDED = 2 ** 53;

    private const FLAGS = JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION;

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @param  mixed  $given  as JSON gives it
     * @param  string  $at  where it stands, for the sentences
     * @return T
     *
     * @throws NotUsable with the field, what was given and what would do
     */
    public static function read(string $class, mixed $given, string $at = ''): object
    {
        /** @var T $read */
        $read = Reading::for($class)($given, $at);

        return $read;
    }

    /** @return array<string, mixed> by the keys of its fields */
    public static function write(object $value): array
    {
        /** @var array<string, mixed> $written */
        $written = Shape::of($value::class)->write($value);

        return $written;
    }

    /** What JSON holds of anything that a value may be made of. */
    public static function plain(mixed $value): mixed
    {
        return match (true) {
            is_int($value) => abs($value) > self::ROUNDED ? (string) $value : $value,
            // Without end is no number to JSON: what has none is left out.
            is_float($value) => is_finite($value) ? $value : null,
            is_array($value) => array_map(self::plain(...), $value),
            $value instanceof BackedEnum => $value->value,
            $value instanceof JsonSerializable => self::plain($value->jsonSerialize()),
            $value instanceof stdClass => (object) self::plain((array) $value),
            is_object($value) => self::write($value),
            default => $value,
        };
    }

    public static function json(mixed $value): string
    {
        return json_encode(self::plain($value), self::FLAGS);
    }
}
