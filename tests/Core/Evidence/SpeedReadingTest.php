<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Chain\Ceiling;
use Tally\Chain\Link;
use Tally\Chain\Path;
use Tally\Label\Bus;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\SpeedReading;
use Tally\Reading\Standing;
use Tally\Reading\StudentT;
use Tally\Reading\Summary;
use Tally\Reading\Suspicion;

final class SpeedReadingTest extends TestCase
{
    private static function path(float $nominal, ?float $practical = null): Path
    {
        return new Path([new Link('reader', new Ceiling(Rate::megabytesPerSecond($nominal), $practical === null ? null : Rate::megabytesPerSecond($practical), 'test'))]);
    }

    /** @return iterable<string, array{float, float, float, Standing}> measured, claim, practical ceiling in MB/s */
    public static function standings(): iterable
    {
        yield 'at the label' => [95, 95, 450, Standing::Near];
        yield '90 % is near' => [90, 100, 450, Standing::Near];
        yield 'just below 90 %' => [89.9, 100, 450, Standing::Under];
        yield '75 % is under' => [75, 100, 450, Standing::Under];
        yield 'just below 75 %' => [74.9, 100, 450, Standing::WellShort];
        yield '110 % is near' => [110, 100, 450, Standing::Near];
        yield 'just above 110 %' => [110.1, 100, 450, Standing::Above];
        // Checks of the trade; common practice, no source.
        yield '95/90 label, read' => [92.98, 95, 450, Standing::Near];
        yield '95/90 label, write' => [86.4, 90, 450, Standing::Near];
        yield '95/90 on another host, read' => [82.7, 95, 450, Standing::Under];
        yield '95/90 on another host, write' => [76.9, 90, 450, Standing::Under];
        yield 'V60 card far off' => [11.7, 130, 450, Standing::WellShort];
        yield 'label says 15, measures far above' => [60, 15, 450, Standing::Above];
        yield '170 in an ordinary reader' => [90, 170, 95, Standing::NotJudgedHere];
        yield '170 in the matching reader' => [164, 170, 170, Standing::Near];
        yield 'reached although the link gives less in practice' => [95, 100, 95, Standing::Near];
        yield 'short on a link that gives less' => [80, 100, 95, Standing::NotJudgedHere];
        yield 'fast card over an old port' => [34, 250, 40, Standing::NotJudgedHere];
    }

    #[DataProvider('standings')]
    public function test_a_speed_is_judged_against_the_label_only_where_the_chain_could_show_it(float $measured, float $claim, float $ceiling, Standing $standing): void
    {
        $path = self::path(max($ceiling * 1.1, $measured), $ceiling);
        self::assertSame($standing, Standing::of(Rate::megabytesPerSecond($measured), Rate::megabytesPerSecond($claim), $path));
    }

    /** @return iterable<string, array{list<float>, float, bool, list<Suspicion>}> MB/s, nominal ceiling, forgot */
    public static function suspects(): iterable
    {
        yield 'plain' => [[90, 91, 89], 104, true, []];
        yield 'at the ceiling' => [[104], 104, true, []];
        yield 'above the ceiling' => [[2410], 104, true, [Suspicion::FasterThanChain]];
        yield 'one of several above it' => [[90, 105], 104, true, [Suspicion::FasterThanChain]];
        yield 'not forgotten' => [[90], 104, false, [Suspicion::NotForgotten]];
        yield 'differ by half' => [[60, 90], 104, true, []];
        yield 'differ more' => [[60, 90.1], 104, true, [Suspicion::Uneven]];
        yield 'all of it' => [[90, 2410], 104, false, [Suspicion::FasterThanChain, Suspicion::NotForgotten, Suspicion::Uneven]];
    }

    /**
     * @param  list<float>  $rates
     * @param  list<Suspicion>  $expected
     */
    #[DataProvider('suspects')]
    public function test_a_number_that_may_be_the_hosts_cache_is_suspected(array $rates, float $nominal, bool $forgot, array $expected): void
    {
        $summary = Summary::of(array_map(fn (float $rate): float => $rate * 1e6, $rates));
        self::assertSame($expected, Suspicion::of($summary, self::path($nominal), $forgot));
        foreach ($expected as $suspicion) {
            self::assertNotSame('', $suspicion->sentence());
        }
    }

    public function test_a_reading_holds_both_ways_against_the_label(): void
    {
        $label = new Label(Form::Sd, Bytes::gigabytes(64), bus: Bus::UhsI, read: Rate::megabytesPerSecond(95), write: Rate::megabytesPerSecond(90));
        $reading = SpeedReading::of([86e6, 87e6, 86.5e6], [92e6, 93e6, 92.5e6], true, Bytes::gigabytes(1), 0, self::path(500, 450), $label);
        self::assertSame(86.5, $reading->write?->median()->megabytes());
        self::assertSame(Standing::Near, $reading->read?->standing);
        self::assertEqualsWithDelta(0.961, $reading->write->share(), 0.001);
        self::assertTrue($reading->read->isTrusted());
    }

    public function test_a_write_ends_with_a_flush_and_is_not_suspected_of_the_cache(): void
    {
        $reading = SpeedReading::of([86e6], [3e9], false, Bytes::gigabytes(1), 0, self::path(500), null);
        self::assertTrue($reading->write?->isTrusted());
        self::assertFalse($reading->read?->isTrusted());
    }

    public function test_nothing_measured_is_no_reading(): void
    {
        $reading = SpeedReading::of([], [], true, Bytes::gigabytes(1), 0, self::path(500), null);
        self::assertNull($reading->write);
        self::assertNull($reading->read);
    }

    public function test_a_single_look_has_no_spread(): void
    {
        $summary = Summary::of([90.0]);
        self::assertTrue($summary->isSingleLook());
        self::assertNull($summary->deviation);
        self::assertNull($summary->margin());
        self::assertNull($summary->variation());
        self::assertFalse($summary->isUnsteady());
    }

    public function test_more_than_ten_percent_of_variation_is_unsteady(): void
    {
        self::assertFalse(Summary::of([95.0, 100.0, 105.0])->isUnsteady());
        self::assertTrue(Summary::of([80.0, 100.0, 120.0])->isUnsteady());
    }

    public function test_medians_of_odd_and_even_counts(): void
    {
        self::assertSame(2.0, Summary::of([3.0, 1.0, 2.0])->median);
        self::assertSame(2.5, Summary::of([4.0, 1.0, 2.0, 3.0])->median);
        self::assertSame([1.0, 4.0], [Summary::of([4.0, 1.0])->least, Summary::of([4.0, 1.0])->most]);
    }

    public function test_no_values_have_no_summary(): void
    {
        $this->expectException(InvalidArgumentException::class);
        Summary::of([]);
    }

    public function test_a_quantile_outside_its_range_is_refused(): void
    {
        foreach ([[0.4, 5], [1.0, 5], [0.975, 0]] as [$p, $freedom]) {
            try {
                StudentT::quantile($p, $freedom);
                self::fail('It was taken.');
            } catch (InvalidArgumentException) {
                $this->addToAssertionCount(1);
            }
        }
    }
}
