<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Temperature;

final class TemperatureTest extends TestCase
{
    /** @return iterable<string, array{string, float}> */
    public static function typed(): iterable
    {
        yield 'bare' => ['48', 48];
        yield 'with a unit' => ['52 °C', 52];
        yield 'with a comma' => ['48,5C', 48.5];
        // 65 °C (149 °F): handbook § 4, common practice.
        yield 'Fahrenheit' => ['149 °F', 65];
        yield 'in words' => ['61 degrees Celsius', 61];
        yield 'below zero' => ['-5 C', -5];
    }

    #[DataProvider('typed')]
    public function test_it_takes_what_people_type(string $text, float $celsius): void
    {
        self::assertEqualsWithDelta($celsius, Temperature::parse($text)->celsius, 0.01);
    }

    /** @return iterable<array{string}> */
    public static function none(): iterable
    {
        yield from [['warm'], [''], ['52 K'], ['400'], ['-80 °C'], ['1e2'], ['5 2']];
    }

    #[DataProvider('none')]
    public function test_it_refuses_what_is_none(string $text): void
    {
        $this->expectException(NotAQuantity::class);
        $this->expectExceptionMessage("“{$text}” is not a temperature");
        Temperature::parse($text);
    }

    public function test_it_knows_what_hurts(): void
    {
        self::assertFalse(Temperature::celsius(47.9)->isTooHotToHandle());
        self::assertTrue(Temperature::celsius(48)->isTooHotToHandle());
        self::assertFalse(Temperature::celsius(64.9)->hurts());
        self::assertTrue(Temperature::celsius(65)->hurts());
        self::assertSame('65 °C (149 °F)', Temperature::celsius(65)->both());
    }
}
