<?php

declare(strict_types=1);

namespace Tests\Core\Reading\Compare;

use PHPUnit\Framework\TestCase;
use Tally\Reading\Compare\Comparison;
use Tally\Reading\Compare\Pairs;
use Tally\Reading\Compare\Tendency;

final class PairsTest extends TestCase
{
    /** @return array{string, list<float>, list<float>} */
    private static function pair(float $first, float $second): array
    {
        $spread = fn (float $rate): array => array_map(fn (float $off): float => $rate * 1e6 * (1 + $off), [
            -0.006,
            -0.002,
            0.0,
            0.003,
            0.005,
        ]);

        return ["{$first} and {$second}", $spread($first), $spread($second)];
    }

    public function test_where_all_agree_one_side_is_the_faster(): void
    {
        $pairs = Pairs::of([self::pair(90, 120), self::pair(92, 121), self::pair(91, 123)]);
        self::assertSame(Tendency::Faster, Tendency::of($pairs->overall));
        self::assertFalse($pairs->depends());
        self::assertSame('faster in 3', $pairs->tally());
    }

    public function test_where_only_some_differ_it_depends_on_the_card(): void
    {
        $pairs = Pairs::of([self::pair(233, 94.8), self::pair(238, 94.9), self::pair(92.8, 92.8)]);
        self::assertSame([Tendency::Slower, Tendency::Slower, Tendency::Noise], $pairs->each);
        self::assertTrue($pairs->depends());
        self::assertSame('slower in 2, inside the noise in 1', $pairs->tally());
    }

    public function test_noise_alone_depends_on_nothing(): void
    {
        $pairs = Pairs::of([self::pair(90, 90.1), self::pair(91, 90.9), self::pair(89, 89)]);
        self::assertSame(Tendency::Noise, Tendency::of($pairs->overall));
        self::assertFalse($pairs->depends());
    }

    public function test_one_pair_is_judged_by_its_runs_and_single_looks_are_open(): void
    {
        self::assertSame(Tendency::Faster, Tendency::of(Pairs::of([self::pair(90, 95)])->overall));
        $looks = Pairs::of([['A', [90e6], [95e6]]]);
        self::assertNull($looks->overall);
        self::assertSame([Tendency::Open], $looks->each);
        self::assertInstanceOf(Comparison::class, Pairs::of([['A', [90e6], [95e6]], ['B', [91e6], [96e6]]])->overall);
    }
}
