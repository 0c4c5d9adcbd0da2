<?php

declare(strict_types=1);

namespace Tests\Core\Reading\Compare;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Reading\Compare\Change;
use Tally\Reading\Compare\Comparison;
use Tally\Reading\Compare\Twins;

final class CompareTest extends TestCase
{
    public function test_a_single_look_compares_with_nothing(): void
    {
        self::assertNull(Comparison::welch([95], [90, 91]));
        self::assertNull(Comparison::welch([95, 96], [90]));
        self::assertNull(Comparison::paired([[95, 90]]));
        self::assertFalse(Twins::areEquivalent([95], [95, 95]));
    }

    public function test_pairs_see_what_separate_sets_do_not(): void
    {
        // Three cards of very different speed, each a little faster in the second reader.
        $pairs = [[40.0, 41.0], [90.0, 91.2], [230.0, 231.1]];
        self::assertFalse(Comparison::paired($pairs)?->isInsideNoise());
        self::assertTrue(Comparison::welch(array_column($pairs, 0), array_column($pairs, 1))?->isInsideNoise());
    }

    public function test_readings_without_any_spread_differ_or_do_not(): void
    {
        self::assertTrue(Comparison::welch([5, 5], [5, 5])?->isInsideNoise());
        self::assertFalse(Comparison::welch([5, 5], [6, 6])?->isInsideNoise());
        self::assertFalse(Comparison::paired([[1, 2], [2, 3]])?->isInsideNoise());
        self::assertTrue(Twins::areEquivalent([5, 5, 5], [5, 5, 5]));
        self::assertFalse(Twins::areEquivalent([5, 5, 5], [6, 6, 6]));
        self::assertFalse(Twins::areEquivalent([5, 5], [5, 5, 5]), 'two are a look');
    }

    public function test_words_name_both_ways(): void
    {
        $change = new Change(88.5, 206.2);
        self::assertSame('R2 is 133.0 % faster than R1 and takes 57.1 % less time', $change->words('R1', 'R2'));
        self::assertSame('R1 is 57.1 % slower than R2 and takes 133.0 % more time', $change->back()->words('R2', 'R1'));
    }

    public function test_a_change_needs_two_speeds(): void
    {
        $this->expectException(InvalidArgumentException::class);
        new Change(0, 5);
    }

    /** @return iterable<string, array{float, float, bool}> true ratio of the speeds, spread, whether they are twins */
    public static function ratios(): iterable
    {
        yield 'the same' => [1.0, 0.01, true];
        yield 'two in a hundred' => [1.02, 0.01, true];
        yield 'eight in a hundred' => [1.08, 0.01, false];
        yield 'the same, but too unsteady to tell' => [1.0, 0.12, false];
    }

    #[DataProvider('ratios')]
    public function test_twins_are_as_fast_as_one_another(float $ratio, float $spread, bool $twins): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(11));
        $draw = fn (float $about): array => array_map(
            fn (): float => $about * (1 + ($spread * $chance->getInt(-1000, 1000)) / 1000),
            range(1, 5),
        );
        self::assertSame($twins, Twins::areEquivalent($draw(90e6), $draw(90e6 * $ratio)));
    }

    public function test_few_pairs_are_called_twins_falsely(): void
    {
        // Speeds five in a hundred apart, just at the edge: at most one in twenty may pass.
        $passed = 0;
        for ($seed = 1; $seed <= 400; $seed++) {
            $chance = new Randomizer(new Xoshiro256StarStar($seed));
            $normal = fn (): float => sqrt(-2 * log($chance->getInt(1, 1_000_000) / 1e6)) *
                cos((2 * M_PI * $chance->getInt(1, 1_000_000)) / 1e6);
            $draw = fn (float $about): array => array_map(fn (): float => $about * (1 + 0.01 * $normal()), range(1, 5));
            $passed += Twins::areEquivalent($draw(90e6), $draw(90e6 * 1.05)) ? 1 : 0;
        }
        self::assertLessThanOrEqual(0.08 * 400, $passed);
    }
}
