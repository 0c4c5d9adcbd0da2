<?php

declare(strict_types=1);

namespace Tally\Quantity;

use Brick\Math\BigDecimal;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;
use InvalidArgumentException;
use Tally\Value\OwnJson;

/**
 * A number of bytes, exact. Decimal units are powers of 1000, binary ones of 1024.
 *
 * Source: IEC 80000-13 (prefixes); makers of storage use the decimal ones.
 */
final readonly class Bytes implements OwnJson
{
    private const DECIMAL = ['B', 'kB', 'MB', 'GB', 'TB', 'PB', 'EB'];

    private const BINARY = ['B', 'KiB', 'MiB', 'GiB', 'TiB', 'PiB', 'EiB'];

    /** @throws NotAQuantity for a negative count */
    public function __construct(public int $count)
    {
        if ($count < 0) {
            throw NotAQuantity::notPositive((string) $count);
        }
    }

    /** @throws NotAQuantity for a negative count */
    public static function of(int $count): self
    {
        return new self($count);
    }

    /** @param  mixed  $given  a number of bytes, or a size as people write it */
    public static function fromJson(mixed $given): static
    {
        return match (true) {
            is_string($given) => self::parse($given),
            is_int($given) || (is_float($given) && floor($given) === $given && $given < 2 ** 62) => self::of((int) $given),
            default => throw new InvalidArgumentException('write a size, such as 1 GB.'),
        };
    }

    public function jsonSerialize(): int
    {
        return $this->count;
    }

    public static function gigabytes(int $gigabytes): self
    {
        return self::of($gigabytes * 1_000_000_000);
    }

    /**
     * @param  string  $bareUnit  the unit a number without one is taken to be in: a form field that shows its unit says it here
     *
     * @throws NotAQuantity
     */
    public static function parse(string $text, string $bareUnit = 'B'): self
    {
        $given = trim($text);
        $read = NumberText::read($given) ?? throw NotAQuantity::size($given);
        if ($read->looksLikeThousands) {
            throw NotAQuantity::oneOrAThousand($given);
        }
        $unit = self::unit($read->unit === '' ? $bareUnit : $read->unit, $given);
        // What a computer prints as 29.7 GiB is no whole number of bytes: the nearest one is meant. A fraction of one byte is a slip.
        $rounding = $unit->isEqualTo(1) ? RoundingMode::UNNECESSARY : RoundingMode::HALF_UP;
        $bytes = $read->number->multipliedBy($unit);
        if ($bytes->isGreaterThan(PHP_INT_MAX)) {
            throw NotAQuantity::tooLarge($given);
        }
        try {
            return new self($bytes->toScale(0, $rounding)->toInt());
        } catch (MathException) {
            throw NotAQuantity::fractionOfAByte($given);
        }
    }

    public function isZero(): bool
    {
        return $this->count === 0;
    }

    /** @return float what share of `$whole` this is; 0 when the whole is nothing */
    public function shareOf(self $whole): float
    {
        return $whole->count === 0 ? 0.0 : $this->count / $whole->count;
    }

    /** As makers print it: `31.91 GB`, `1 TB`, `512 B`. */
    public function decimal(): string
    {
        return self::print($this->count, 1000, self::DECIMAL);
    }

    /** The shortest print that parses back to just this: `32 GB`, or all the bytes where rounding would lose some. */
    public function exact(): string
    {
        $short = $this->decimal();

        return self::parse($short)->count === $this->count ? $short : $this->count.' B';
    }

    /** As many computers print it: `29.72 GiB`. */
    public function binary(): string
    {
        return self::print($this->count, 1024, self::BINARY);
    }

    private static function unit(string $unit, string $given): BigDecimal
    {
        if (preg_match('/^(?:bytes?|B)$/', $unit) === 1) {
            return BigDecimal::one();
        }
        // “Gb” and “Mbit” are bits. All-small letters stay bytes: nobody sizes a card in bits, and labels are retyped in haste.
        if (preg_match('/^[KMGTPE]i?b$/', $unit) === 1 || preg_match('/^[kmgtpe]i?bits?$/i', $unit) === 1) {
            throw NotAQuantity::sizeInBits($given);
        }
        if (preg_match('/^([kmgtpe])(i?)b?$/i', $unit, $m) !== 1) {
            throw NotAQuantity::size($given);
        }
        $power = (int) strpos('kmgtpe', strtolower($m[1])) + 1;

        return BigDecimal::of($m[2] === '' ? 1000 : 1024)->power($power);
    }

    /** @param  list<string>  $names */
    private static function print(int $count, int $base, array $names): string
    {
        $power = 0;
        $unit = 1;
        // 999.995 would print as 1000.00, so the step to the next name comes where rounding does.
        while (isset($names[$power + 1]) && $count >= $base * $unit - intdiv($unit, 200)) {
            $unit *= $base;
            $power++;
        }
        $number = (string) BigDecimal::of($count)->dividedBy($unit, 2, RoundingMode::HALF_UP);

        return rtrim(rtrim($number, '0'), '.').' '.$names[$power];
    }
}
