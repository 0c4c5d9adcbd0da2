<?php

declare(strict_types=1);

namespace Tests\Core\Buying;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Buying\NotAPrice;
use Tally\Buying\Price;
use Tally\Quantity\Bytes;

final class PriceTest extends TestCase
{
    /** @return iterable<string, array{string, int, string}> typed, minor units, currency; minor units after ISO 4217 */
    public static function typed(): iterable
    {
        yield 'amount and letters' => ['24.90 EUR', 2490, 'EUR'];
        yield 'letters first' => ['GBP 19', 1900, 'GBP'];
        yield 'letters close by' => ['19gbp', 1900, 'GBP'];
        yield 'decimal comma' => ['24,9', 2490, 'EUR'];
        yield 'a symbol before' => ['€24.90', 2490, 'EUR'];
        yield 'a symbol behind' => ['24,90 €', 2490, 'EUR'];
        yield 'the house’s own' => ['210', 21000, 'EUR'];
        yield 'thousands by space' => ['1 299.00 EUR', 129900, 'EUR'];
        yield 'no minor units' => ['3980 JPY', 3980, 'JPY'];
        yield 'three digits of them' => ['9.125 KWD', 9125, 'KWD'];
        yield 'zeros beyond the minor units' => ['24.900 EUR', 2490, 'EUR'];
    }

    #[DataProvider('typed')]
    public function test_prices_are_read_as_people_write_them(string $typed, int $minor, string $currency): void
    {
        $price = Price::parse($typed, 'EUR');
        self::assertSame([$minor, $currency], [$price->minor, $price->currency]);
        self::assertSame($minor, Price::parse($price->print(), 'USD')->minor);
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'words' => ['cheap', 'is not a price'];
        yield 'no such currency' => ['24 QQQ', 'is not a currency'];
        yield 'two currencies' => ['EUR 24 GBP', 'is not a price'];
        yield 'dollars of whom' => ['$24', 'several countries'];
        yield 'nothing' => ['0.00', 'is nothing'];
        yield 'finer than cents' => ['24.905', 'finer than EUR'];
        yield 'finer than a yen' => ['24.5 JPY', 'no places'];
        yield 'one or a thousand' => ['1,299 EUR', 'decimal comma or a thousands mark'];
        yield 'negative' => ['-5', 'is not a price'];
        yield 'beyond any card' => ['999999999999', 'more than a card can cost'];
    }

    #[DataProvider('refused')]
    public function test_what_is_no_price_gets_a_sentence(string $typed, string $words): void
    {
        $this->expectException(NotAPrice::class);
        $this->expectExceptionMessage($words);
        Price::parse($typed, 'EUR');
    }

    public function test_price_for_a_gigabyte(): void
    {
        // Handbook § 9, common practice: 400 for 160 GB = 2.50 a GB; 210 for 128 GB = 1.64 a GB.
        self::assertSame('2.500 EUR/GB', Price::printPerGigabyte(Price::parse('400', 'EUR')->perGigabyte(Bytes::gigabytes(160)), 'EUR'));
        self::assertSame('1.641 EUR/GB', Price::printPerGigabyte(Price::parse('210', 'EUR')->perGigabyte(Bytes::gigabytes(128)), 'EUR'));
    }
}
