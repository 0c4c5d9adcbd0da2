<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Span;

final class SpanTest extends TestCase
{
    /** @return iterable<string, array{string, float}> */
    public static function typed(): iterable
    {
        yield 'minutes and seconds' => ['4:42', 282.0];
        yield 'hours too' => ['1:02:03', 3723.0];
        yield 'stopwatch with hundredths' => ['3:49.25', 229.25];
        yield 'letters' => ['14m51s', 891.0];
        yield 'letters with spaces' => ['1 h 3 min', 3780.0];
        yield 'hours' => ['63.4 h', 228_240.0];
        yield 'minutes' => ['33 min', 1980.0];
        yield 'seconds' => ['3.7 s', 3.7];
        yield 'milliseconds' => ['250 ms', 0.25];
        yield 'bare number is seconds' => ['3.7', 3.7];
        yield 'bare number with a comma' => ['3,7', 3.7];
        yield 'many minutes' => ['90:00', 5400.0];
    }

    #[DataProvider('typed')]
    public function test_what_people_type_is_read(string $text, float $seconds): void
    {
        self::assertEqualsWithDelta($seconds, Span::parse($text)->seconds, 1e-9);
    }

    /** @return iterable<string, array{string}> */
    public static function refused(): iterable
    {
        foreach (['', '4:75', '1:75:03', 'soon', '5 parsecs', '-3 s', '4:4', ':30', '1:2:3:4'] as $text) {
            yield "“{$text}”" => [$text];
        }
    }

    #[DataProvider('refused')]
    public function test_what_is_no_time_is_refused_with_a_sentence(string $text): void
    {
        $this->expectException(NotAQuantity::class);
        $this->expectExceptionMessage("“{$text}” is not a length of time");
        Span::parse($text);
    }

    /** @return iterable<array{float, string}> */
    public static function printed(): iterable
    {
        yield [0.0, '0 s'];
        yield [0.84, '0.8 s'];
        yield [34.4, '34 s'];
        yield [59.6, '1 min'];
        yield [282.0, '4 min 42 s'];
        yield [3600.0, '1 h'];
        yield [3780.0, '1 h 3 min'];
        yield [7199.0, '2 h'];
        yield [228_240.0, '63.4 h'];
    }

    #[DataProvider('printed')]
    public function test_print(float $seconds, string $words): void
    {
        self::assertSame($words, Span::seconds($seconds)->print());
    }

    public function test_time_does_not_run_backwards(): void
    {
        $this->expectException(NotAQuantity::class);
        Span::seconds(-1);
    }
}
