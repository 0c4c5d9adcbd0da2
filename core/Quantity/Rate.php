<?php

declare(strict_types=1);

namespace Tally\Quantity;

use InvalidArgumentException;
use Tally\Value\OwnJson;

/**
 * A speed in bytes a second. Cards speak MB/s, cameras and cables Mb/s: 1 MB/s = 8 Mb/s.
 *
 * Source: IEC 80000-13 (prefixes, byte of 8 bits). The ×-rating, 1× = 150 kB/s, is common practice, no source.
 */
final readonly class Rate implements OwnJson
{
    /** Faster than anything that is measured here; what is above it only blanks pictures. Bytes a second. */
    private const MOST = 1e13;

    private function __construct(public float $bytesPerSecond) {}

    /** @throws NotAQuantity for zero, negative or endless speeds */
    public static function bytesPerSecond(float $rate): self
    {
        return $rate > 0 && is_finite($rate) ? new self($rate) : throw NotAQuantity::notPositive((string) $rate);
    }

    /** @param  mixed  $given  bytes a second, or a speed as people write it */
    public static function fromJson(mixed $given): static
    {
        return match (true) {
            is_string($given) => self::parse($given),
            (is_int($given) || is_float($given)) && $given > 0 && $given < self::MOST => self::bytesPerSecond((float) $given),
            is_int($given) || is_float($given) => throw new InvalidArgumentException(
                'give bytes a second, above nothing and below 10 TB/s.',
            ),
            default => throw new InvalidArgumentException('write a speed, such as 95 MB/s.'),
        };
    }

    public function jsonSerialize(): float
    {
        return $this->bytesPerSecond;
    }

    public static function megabytesPerSecond(float $rate): self
    {
        return self::bytesPerSecond($rate * 1e6);
    }

    public static function megabitsPerSecond(float $rate): self
    {
        return self::bytesPerSecond(($rate * 1e6) / 8);
    }

    public static function times(float $rating): self
    {
        return self::bytesPerSecond($rating * 150e3);
    }

    /** @throws NotAQuantity when nothing was moved or no time passed */
    public static function ofTransfer(Bytes $bytes, Span $span): self
    {
        return $span->seconds > 0 ? self::bytesPerSecond($bytes->count / $span->seconds) : throw NotAQuantity::notPositive($span->print());
    }

    /**
     * A number without a unit is taken as MB/s, the unit that cards are labelled in.
     *
     * @throws NotAQuantity
     */
    public static function parse(string $text): self
    {
        $given = trim($text);
        $read = NumberText::read($given) ?? throw NotAQuantity::rate($given);
        if ($read->looksLikeThousands) {
            throw NotAQuantity::oneOrAThousand($given);
        }
        $rate = $read->number->toFloat() * self::unit($read->unit, $given);

        return $rate > 0 ? self::bytesPerSecond($rate) : throw NotAQuantity::notPositive($given);
    }

    /** Decimal MB/s, as labels have them. */
    public function megabytes(): float
    {
        return $this->bytesPerSecond / 1e6;
    }

    /** Decimal Mbit/s, as cameras and networks have them. */
    public function megabits(): float
    {
        return ($this->bytesPerSecond * 8) / 1e6;
    }

    public function isBelow(self $other): bool
    {
        return $this->bytesPerSecond < $other->bytesPerSecond;
    }

    /** @return float this ÷ other: the share of a claim that was reached */
    public function over(self $other): float
    {
        return $this->bytesPerSecond / $other->bytesPerSecond;
    }

    public function timeFor(Bytes $bytes): Span
    {
        return Span::seconds($bytes->count / $this->bytesPerSecond);
    }

    /** `92.98 MB/s`; three digits carry all that a stopwatch or a host can know, more below 100 for reading against a floor. */
    public function print(): string
    {
        $value = $this->megabytes();

        return match (true) {
            $value >= 1000 => number_format($value, 0, '.', "\u{202F}"),
            $value >= 100 => self::trim(number_format($value, 1, '.', '')),
            default => self::trim(number_format($value, 2, '.', '')),
        }.' MB/s';
    }

    /** The same, never rounded up: for a figure that is held against a promise. */
    public function printDown(): string
    {
        $digits = match (true) {
            $this->megabytes() >= 1000 => 1,
            $this->megabytes() >= 100 => 10,
            default => 100,
        };
        // A hair's breadth is for figures such as 59.99, which have no exact binary form.
        $down = floor($this->megabytes() * $digits + 1e-6) / $digits;

        return $down <= 0 ? $this->print() : self::megabytesPerSecond($down)->print();
    }

    /** With every digit down to one byte a second, so that it parses back to just this. */
    public function exact(): string
    {
        return self::trim(number_format($this->megabytes(), 6, '.', '')).' MB/s';
    }

    private static function trim(string $number): string
    {
        return rtrim(rtrim($number, '0'), '.');
    }

    /** @return float bytes a second in one of the unit */
    private static function unit(string $unit, string $given): float
    {
        if ($unit === '') {
            return 1e6;
        }
        if (preg_match('/^[x×]$/iu', $unit) === 1) {
            return 150e3;
        }
        // “mb/s” in small letters is just the slip this program exists to catch; “mbps” is written for bits by everyone who means it.
        if (preg_match('#^[kmgt]i?b */ *s(?:ec)?$#', $unit) === 1) {
            throw NotAQuantity::bitsOrBytes($given);
        }
        if (preg_match('#^([kmgt]?)(i?)(b|bits?|bytes?)(?: */ *s(?:ec)?|ps)$#i', $unit, $m) !== 1) {
            throw NotAQuantity::rate($given);
        }
        $power = $m[1] === '' ? 0 : (int) strpos('kmgt', strtolower($m[1])) + 1;
        $isBytes = $m[3] === 'B' || stripos($m[3], 'byte') === 0;

        return ($m[2] === '' ? 1000.0 : 1024.0) ** $power / ($isBytes ? 1 : 8);
    }
}
