<?php

declare(strict_types=1);

namespace Tests\Reference;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Buying\NotAPrice;
use Tally\Buying\Price;
use Tally\Buying\Quote;
use Tally\Buying\Reference;
use Tally\Buying\Tier;
use Tally\Label\Form;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;

final class BuyingTest extends TestCase
{
    /** @return iterable<string, array{string, int}> currency, minor units in one. Source: ISO 4217 table A.1. */
    public static function minorUnits(): iterable
    {
        foreach (
            [
                'EUR' => 100,
                'GBP' => 100,
                'USD' => 100,
                'CHF' => 100,
                'SEK' => 100,
                'PLN' => 100,
                'CAD' => 100,
                'JPY' => 1,
                'KRW' => 1,
                'CLP' => 1,
                'KWD' => 1000,
                'BHD' => 1000,
                'TND' => 1000,
            ] as $currency => $minor
        ) {
            yield $currency => [$currency, $minor];
        }
    }

    #[DataProvider('minorUnits')]
    public function test_currencies_are_counted_in_their_minor_units(string $currency, int $minor): void
    {
        self::assertSame($minor, Price::parse("1 {$currency}", 'EUR')->minor);
    }

    /** @return iterable<string, array{string}> */
    public static function noCurrencies(): iterable
    {
        yield 'three letters that are none' => ['ABC'];
        yield 'two letters' => ['EU'];
        yield 'a word' => ['euro'];
        yield 'nothing' => [''];
        yield 'digits' => ['123'];
    }

    #[DataProvider('noCurrencies')]
    public function test_what_is_no_currency_is_refused(string $given): void
    {
        $this->expectException(NotAPrice::class);
        Price::currency($given);
    }

    /** @return iterable<string, array{non-empty-list<int>, string}> prices for 100 GB, median for one. Worked by hand. */
    public static function medians(): iterable
    {
        yield 'one' => [[40], '0.400'];
        yield 'two' => [[40, 60], '0.500'];
        yield 'three' => [[90, 10, 50], '0.500'];
        yield 'four' => [[10, 20, 40, 1000], '0.300'];
        yield 'five of which three are equal' => [[10, 30, 30, 30, 99], '0.300'];
    }

    /** @param  non-empty-list<int>  $prices */
    #[DataProvider('medians')]
    public function test_the_median_of_prices(array $prices, string $median): void
    {
        $tier = Tier::tryFrom(30) ?? self::fail('no such tier');
        $each = array_map(
            fn (int $price): BigRational => (new Quote(
                Form::Sd,
                $tier,
                Bytes::gigabytes(100),
                Price::parse("{$price} EUR", 'EUR'),
            ))->perGigabyte(),
            $prices,
        );
        shuffle($each);
        self::assertSame("{$median} EUR/GB", Price::printPerGigabyte(Reference::median($each), 'EUR'));
    }

    public function test_a_gigabyte_is_a_billion_bytes_whatever_the_card_holds(): void
    {
        // IEC 80000-13. A card that really holds 31 914 983 424 bytes at 31.91 costs just under one for a gigabyte.
        $price = Price::parse('31.91 EUR', 'EUR');
        self::assertEqualsWithDelta(3191 / 31.914983424, $price->perGigabyte(Bytes::of(31_914_983_424))->toFloat(), 1e-9);
    }

    public function test_every_mark_stands_in_the_tier_of_its_floor(): void
    {
        // SD Association speed-class tables; CompactFlash Association VPG profiles.
        foreach (Mark::cases() as $mark) {
            $tier = Tier::tryFrom((int) $mark->floor()->megabytes());
            self::assertNotNull($tier, $mark->value);
            self::assertStringContainsString(str_starts_with($mark->value, 'A') ? 'C10' : $mark->value, $tier->words());
        }
    }
}
