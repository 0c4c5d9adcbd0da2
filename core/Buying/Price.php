<?php

declare(strict_types=1);

namespace Tally\Buying;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use NumberFormatter;
use ResourceBundle;
use Tally\Quantity\Bytes;
use Tally\Value\OwnJson;

/**
 * An amount of money in the smallest unit of its currency, exact.
 *
 * Source of currencies and their minor units: ISO 4217, as shipped with ICU.
 */
final readonly class Price implements OwnJson
{
    private const SYMBOLS = ['€' => 'EUR', '£' => 'GBP', '¥' => 'JPY', '₹' => 'INR', '₩' => 'KRW'];

    private const MOST = 100_000_000_000;

    private function __construct(public int $minor, public string $currency) {}

    /** @throws NotAPrice for nothing, or what is no three letters; whether the currency exists is asked where it is typed */
    public static function of(int $minor, string $currency): self
    {
        return match (true) {
            preg_match('/^[A-Z]{3}$/', $currency) !== 1 => throw NotAPrice::currency($currency),
            $minor <= 0 => throw NotAPrice::notPositive((string) $minor),
            $minor > self::MOST => throw NotAPrice::tooLarge((string) $minor),
            default => new self($minor, $currency),
        };
    }

    /** @param  mixed  $given  an amount and its currency; without one, EUR */
    public static function fromJson(mixed $given): static
    {
        return self::parse(is_string($given) ? $given : throw NotAPrice::text((string) json_encode($given)), 'EUR');
    }

    public function jsonSerialize(): string
    {
        return $this->print();
    }

    /**
     * `24.90 EUR`, `EUR 24,90`, `€24.90`, or a bare amount in the house's currency.
     *
     * @throws NotAPrice
     */
    public static function parse(string $text, string $houseCurrency): self
    {
        $given = trim((string) preg_replace('/[\s\x{00A0}\x{202F}]+/u', ' ', $text));
        $words = strtr($given, array_map(fn (string $code): string => " {$code} ", self::SYMBOLS));
        if (str_contains($words, '$')) {
            throw NotAPrice::dollars($given);
        }
        $number = '(?<whole>\d{1,3}(?: \d{3})+|\d{1,12})(?:(?<mark>[.,])(?<part>\d{1,3}))?';
        if (preg_match("/^ *(?:(?<before>[A-Za-z]{3}) *)?{$number}(?: *(?<after>[A-Za-z]{3}))? *$/", $words, $m) !== 1) {
            throw NotAPrice::text($given);
        }
        $code = array_values(array_filter([$m['before'], $m['after'] ?? ''], fn (string $code): bool => $code !== ''));
        if (count($code) > 1) {
            throw NotAPrice::text($given);
        }
        $currency = self::currency($code[0] ?? $houseCurrency);
        $digits = self::digits($currency);
        $part = $m['part'] ?? '';
        if (strlen($part) === 3 && $digits < 3 && ($m['mark'] ?? '') === ',') {
            throw NotAPrice::oneOrAThousand($given);
        }
        if (strlen(rtrim($part, '0')) > $digits) {
            throw NotAPrice::tooFine($given, $currency, $digits);
        }
        $amount = BigDecimal::of(str_replace(' ', '', $m['whole']).($part === '' ? '' : ".{$part}"));
        $minor = $amount->withPointMovedRight($digits)->toScale(0, RoundingMode::UNNECESSARY);

        return match (true) {
            $minor->isZero() => throw NotAPrice::notPositive($given),
            $minor->isGreaterThan(self::MOST) => throw NotAPrice::tooLarge($given),
            default => new self($minor->toInt(), $currency),
        };
    }

    /** @return BigRational minor units for a gigabyte of 10⁹ bytes */
    public function perGigabyte(Bytes $capacity): BigRational
    {
        return BigRational::nd($this->minor, 1)->multipliedBy(1_000_000_000)->dividedBy($capacity->count);
    }

    /** `24.90 EUR` */
    public function print(): string
    {
        return "{$this->printAmount()} {$this->currency}";
    }

    /** `9.50`, without its currency */
    public function printAmount(): string
    {
        return self::amount(BigRational::nd($this->minor, 1), $this->currency);
    }

    /** `0.16 EUR/GB`, with one digit more than the currency is counted in */
    public static function printPerGigabyte(BigRational $minor, string $currency): string
    {
        return self::amount($minor, $currency, 1)." {$currency}/GB";
    }

    /**
     * @return string the currency's three letters
     *
     * @throws NotAPrice
     */
    public static function currency(string $given): string
    {
        $code = strtoupper(trim($given));
        $known = ResourceBundle::create('en', 'ICUDATA-curr', true)?->get('Currencies');

        return preg_match('/^[A-Z]{3}$/', $code) === 1 && $known instanceof ResourceBundle && $known->get($code) !== null
            ? $code
            : throw NotAPrice::currency($given);
    }

    private static function amount(BigRational $minor, string $currency, int $more = 0): string
    {
        $digits = self::digits($currency);

        return (string) $minor->dividedBy(10 ** $digits)->toScale($digits + $more, RoundingMode::HALF_UP);
    }

    public static function digits(string $currency): int
    {
        $format = new NumberFormatter('en', NumberFormatter::CURRENCY);
        $format->setTextAttribute(NumberFormatter::CURRENCY_CODE, $currency);

        return $format->getAttribute(NumberFormatter::FRACTION_DIGITS);
    }
}
