<?php

declare(strict_types=1);

namespace Tally\Quantity;

use InvalidArgumentException;
use Tally\Value\OwnJson;

/** A length of time in seconds. */
final readonly class Span implements OwnJson
{
    /** @throws NotAQuantity for negative or endless spans */
    public function __construct(public float $seconds)
    {
        if ($seconds < 0 || ! is_finite($seconds)) {
            throw NotAQuantity::span((string) $seconds);
        }
    }

    /** @throws NotAQuantity for negative or endless spans */
    public static function seconds(float $seconds): self
    {
        return new self($seconds);
    }

    /** @param  mixed  $given  seconds, or a length as people write it */
    public static function fromJson(mixed $given): static
    {
        return match (true) {
            is_string($given) => self::parse($given),
            is_int($given) || is_float($given) => new self((float) $given),
            default => throw new InvalidArgumentException('give a length of time, such as 79 min, or seconds.'),
        };
    }

    public function jsonSerialize(): float
    {
        return $this->seconds;
    }

    /**
     * A number without a unit is taken as seconds.
     *
     * @throws NotAQuantity
     */
    public static function parse(string $text): self
    {
        $given = trim($text);

        return new self(self::clock($given) ?? (self::units($given) ?? (self::bare($given) ?? throw NotAQuantity::span($given))));
    }

    /** `0.8 s`, `34 s`, `4 min 42 s`, `1 h 3 min`, `63.4 h`: never more than two parts. */
    public function print(): string
    {
        $whole = (int) round($this->seconds);

        return match (true) {
            $this->seconds < 9.95 => rtrim(rtrim(number_format($this->seconds, 1, '.', ''), '0'), '.').' s',
            $whole < 60 => "{$whole} s",
            $whole < 3600 => self::pair(intdiv($whole, 60), 'min', $whole % 60, 's'),
            $whole < 36000 => self::pair(intdiv((int) round($whole / 60), 60), 'h', (int) round($whole / 60) % 60, 'min'),
            default => number_format($this->seconds / 3600, 1, '.', ' ').' h',
        };
    }

    private static function pair(int $first, string $firstUnit, int $second, string $secondUnit): string
    {
        return "{$first} {$firstUnit}".($second === 0 ? '' : " {$second} {$secondUnit}");
    }

    /** `4:42`, `1:02:03`, with a fraction of the seconds if need be. */
    private static function clock(string $text): ?float
    {
        if (preg_match('/^(?:(\d{1,6}):([0-5]\d)|(\d{1,6})):([0-5]\d(?:[.,]\d+)?)$/', $text, $m) !== 1) {
            return null;
        }
        $minutes = $m[3] === '' ? 60 * (int) $m[1] + (int) $m[2] : (int) $m[3];

        return 60 * $minutes + self::decimal($m[4]);
    }

    /** `14m51s`, `1 h 3 min`, `63.4 h`, `250 ms`. */
    private static function units(string $text): ?float
    {
        $n = '(\d+(?:[.,]\d+)?) *';
        $pattern = "/^(?:{$n}(?:h|hrs?|hours?) *)?(?:{$n}(?:m|min|mins|minutes?) *)?(?:{$n}(?:s|sec|secs|seconds?) *)?(?:{$n}ms)?$/i";
        if ($text === '' || preg_match($pattern, $text, $m, PREG_UNMATCHED_AS_NULL) !== 1) {
            return null;
        }

        return 3600 * self::decimal($m[1] ?? '0') +
            60 * self::decimal($m[2] ?? '0') +
            self::decimal($m[3] ?? '0') +
            self::decimal($m[4] ?? '0') / 1000;
    }

    private static function bare(string $text): ?float
    {
        $read = NumberText::read($text);
        if ($read === null || $read->unit !== '') {
            return null;
        }

        return $read->looksLikeThousands ? throw NotAQuantity::oneOrAThousand($text) : $read->number->toFloat();
    }

    private static function decimal(string $text): float
    {
        return (float) str_replace(',', '.', $text);
    }
}
