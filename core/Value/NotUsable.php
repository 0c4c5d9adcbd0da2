<?php

declare(strict_types=1);

namespace Tally\Value;

use RuntimeException;

/** Something in a file or a row cannot be used: which field, what was given, and what would do. */
final class NotUsable extends RuntimeException
{
    /** @param  string  $field  where it stands, such as `runs[1].chain.bus` */
    private function __construct(public readonly string $field, public readonly string $given, public readonly string $wanted)
    {
        parent::__construct("“{$field}” ".($given === '' ? 'is missing' : "is {$given}").": {$wanted}");
    }

    /** @param  string  $wanted  a sentence that says what would do */
    public static function field(string $field, mixed $given, string $wanted): self
    {
        return new self($field, self::print($given), $wanted);
    }

    public static function missing(string $field, string $wanted): self
    {
        return new self($field, '', $wanted);
    }

    /**
     * A field of an object, which may be missing there.
     *
     * @param  array<mixed>  $given  the object
     * @param  string  $key  perhaps of an object in it: `topics.price`
     */
    public static function in(array $given, string $at, string $key, string $wanted): self
    {
        $value = $given;
        foreach (explode('.', str_replace(['[', ']'], ['.', ''], $key)) as $part) {
            $value = is_array($value) ? $value[$part] ?? null : null;
        }
        $field = $at === '' ? $key : "{$at}.{$key}";

        return $value === null ? self::missing($field, $wanted) : self::field($field, $value, $wanted);
    }

    private static function print(mixed $given): string
    {
        $text = match (true) {
            is_string($given) => "“{$given}”",
            is_array($given) => array_is_list($given) ? 'a list of '.count($given) : 'an object',
            default => (string) json_encode($given),
        };

        return mb_strlen($text) > 80 ? mb_substr($text, 0, 77).'…' : $text;
    }
}
