<?php

declare(strict_types=1);

namespace Tests\Reference;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Reading\Compare\Change;
use Tally\Reading\Compare\Comparison;
use Tally\Reading\Compare\Figures;
use Tally\Reading\Course\Course;
use Tally\Reading\Course\Warmth;
use Tally\Reading\StudentT;
use Tally\Reading\Summary;

/** Against a general-purpose library (simple-statistics from npm) and published worked examples. */
final class ComparisonTest extends TestCase
{
    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     * @return array<string, float>
     */
    private static function library(array $a, array $b): array
    {
        $process = proc_open(['node', __DIR__.'/node/statistics.cjs'], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        self::assertIsResource($process);
        fwrite($pipes[0], json_encode([$a, $b], JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        $said = (string) stream_get_contents($pipes[1]);
        $complaint = (string) stream_get_contents($pipes[2]);
        self::assertSame(0, proc_close($process), $complaint);
        $figures = [];
        foreach ((array) json_decode($said, true) as $name => $figure) {
            // The library loses its way with large values close together where it fits a line; nothing there asks for one.
            if (is_numeric($figure)) {
                $figures[(string) $name] = (float) $figure;
            }
        }

        return $figures;
    }

    /** @return iterable<string, array{non-empty-list<float>, list<float>}> */
    public static function samples(): iterable
    {
        yield 'five runs each' => [[92.9e6, 93.1e6, 92.5e6, 93.4e6, 92.98e6], [82.7e6, 82.1e6, 83.0e6, 82.9e6, 82.4e6]];
        yield 'few against many' => [[1.0, 2.5, 2.0], [9.0, 7.5, 8.25, 8.0, 7.75, 8.5, 9.25]];
        yield 'large and close together' => [[1e9 + 1, 1e9 + 2, 1e9 + 3], [1e9 + 2, 1e9 + 3, 1e9 + 5]];
        $chance = new Randomizer(new Xoshiro256StarStar(4));
        $draw = fn (int $count, int $about): array => array_map(
            fn (): float => $about * 1e6 + $chance->getInt(-3_000_000, 3_000_000),
            range(1, $count),
        );
        yield 'two hundred runs' => [$draw(200, 95), $draw(200, 96)];
        yield 'an even number' => [$draw(8, 40), $draw(6, 44)];
    }

    /**
     * @param  non-empty-list<float>  $a
     * @param  list<float>  $b
     */
    #[DataProvider('samples')]
    public function test_means_deviations_and_welchs_test_agree(array $a, array $b): void
    {
        $library = self::library($a, $b);
        $summary = Summary::of($a);
        $ours = [
            'mean' => $summary->mean,
            'median' => $summary->median,
            'deviation' => $summary->deviation,
            'variation' => $summary->variation(),
            'least' => $summary->least,
            'most' => $summary->most,
            'quarter' => Summary::quantile($a, 0.25),
            'threeQuarters' => Summary::quantile($a, 0.75),
            'tenth' => Summary::quantile($a, 0.1),
            'ninetieth' => Summary::quantile($a, 0.9),
        ];
        foreach ($ours as $name => $figure) {
            self::assertEqualsWithDelta(1, ($figure ?? 0.0) / $library[$name], 1e-9, $name);
        }
        $comparison = Comparison::welch($a, $b);
        self::assertNotNull($comparison);
        self::assertEqualsWithDelta(1, $comparison->difference / $library['difference'], 1e-9);
        self::assertEqualsWithDelta(1, $comparison->freedom / $library['freedom'], 1e-9);
        // The margin is the t quantile times the same standard error that the library divides by.
        $error = abs($library['difference'] / $library['t']);
        self::assertEqualsWithDelta(1, $comparison->margin / (StudentT::quantile(0.975, $library['freedom']) * $error), 1e-9);
    }

    public function test_welch_worked_by_hand(): void
    {
        // Worked by hand: a = 1 2 3 4 5, b = 2 4 6 8 10. Means 3 and 6, variances
        // 2.5 and 10, standard error √(0.5 + 2) = 1.5811, degrees of freedom 6.25 ÷ (0.25 ÷ 4 + 4 ÷ 4) = 5.88235.
        $comparison = Comparison::welch([1, 2, 3, 4, 5], [2, 4, 6, 8, 10]);
        self::assertNotNull($comparison);
        self::assertEqualsWithDelta(3, $comparison->difference, 1e-12);
        self::assertEqualsWithDelta(100 / 17, $comparison->freedom, 1e-12);
        self::assertTrue($comparison->isInsideNoise());
    }

    /** @return iterable<string, array{Change, float, float}> change, faster by, less time by; handbook § 2, common practice */
    public static function changes(): iterable
    {
        yield '49 to 59 frames' => [new Change(49, 59), 0.204, 0.169];
        yield '8.1 s to 6.1 s' => [Change::ofTimes(8.1, 6.1), 0.328, 0.247];
        yield 'slower' => [new Change(59, 49), -0.169, -0.204];
        yield 'the same' => [new Change(7, 7), 0.0, 0.0];
    }

    #[DataProvider('changes')]
    public function test_percentages_name_their_base(Change $change, float $faster, float $lessTime): void
    {
        self::assertEqualsWithDelta($faster, $change->faster(), 0.0005);
        self::assertEqualsWithDelta($lessTime, $change->lessTime(), 0.0005);
    }

    public function test_speed_against_temperature_agrees_with_the_library(): void
    {
        $course = new Course(array_map(fn (int $i): array => [$i * 1e9, (100 - $i + 7 * sin($i)) * 1e6], range(1, 40)));
        $readings = array_map(fn (int $i): array => [$i * 1e9, 25 + 0.8 * $i + 2 * cos(3 * $i)], range(1, 40));
        $warmth = Warmth::along($course, $readings);
        self::assertNotNull($warmth);
        $library = self::library(array_column($warmth->pairs, 0), array_column($warmth->pairs, 1));
        self::assertEqualsWithDelta(1, ($warmth->correlation ?? 0.0) / $library['correlation'], 1e-9);
        self::assertEqualsWithDelta(1, ($warmth->perTenDegrees ?? 0.0) / ((-10 * $library['slope']) / $library['meanOfSecond']), 1e-9);
    }

    /** @return iterable<string, array{string, string, string, string}> from, to, there, back */
    public static function figures(): iterable
    {
        // Handbook § 2, common practice: 49 → 59 is +20.4 % of 49; 8.1 s → 6.1 s is 24.7 % less time and 32.8 % faster.
        yield 'frames' => ['49', '59', '20.4 % more, of 49', '16.9 % less, of 59'];
        yield 'seconds' => [
            '8.1 s',
            '6.1 s',
            'takes 24.7 % less time and is 32.8 % faster, of 8.1 s',
            'takes 32.8 % more time and is 24.7 % slower, of 6.1 s',
        ];
        yield 'minutes' => ['4:42', '3:49', '18.8 % less time', '23.1 % more time'];
        yield 'speeds' => ['88.5 MB/s', '206.2 MB/s', 'takes 57.1 % less time and is 133.0 % faster', '57.1 % slower'];
        yield 'speeds of two units' => ['95 MB/s', '760 Mb/s', '0.0 % less time', '0.0 % less time'];
    }

    #[DataProvider('figures')]
    public function test_two_figures_from_anywhere(string $from, string $to, string $there, string $back): void
    {
        $figures = Figures::of($from, $to);
        self::assertStringContainsString($there, $figures->there());
        self::assertStringContainsString($back, $figures->back());
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function noFigures(): iterable
    {
        yield 'of two kinds' => ['8.1 s', '95 MB/s', 'are not two figures of one kind'];
        yield 'words' => ['fast', 'slow', 'are not two figures of one kind'];
        yield 'nothing' => ['0', '5', '“0” is not'];
        yield 'empty' => ['', '5', 'are not two figures'];
    }

    #[DataProvider('noFigures')]
    public function test_what_are_no_two_figures_gets_a_sentence(string $from, string $to, string $said): void
    {
        $this->expectException(InvalidArgumentException::class);
        $this->expectExceptionMessage($said);
        Figures::of($from, $to);
    }
}
