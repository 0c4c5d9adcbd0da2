<?php

declare(strict_types=1);

namespace Tests\Core\Evidence;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Chain\HostLink;
use Tally\Evidence\SpeedReading;
use Tally\Label\Bus;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Measured\Chain;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\Standing;
use Tally\Reading\StudentT;
use Tally\Reading\Summary;
use Tally\Reading\Suspicion;
use Tally\Reading\WayReading;
use Tally\Record\SpeedRecord;

final class SpeedReadingTest extends TestCase
{
    /** @return iterable<string, array{float, float, bool, Standing}> measured, claim in MB/s, whether a shortfall is the card's */
    public static function standings(): iterable
    {
        yield 'at the label' => [95, 95, true, Standing::Near];
        yield '90 % is near' => [90, 100, true, Standing::Near];
        yield 'just below 90 %' => [89.9, 100, true, Standing::Under];
        yield '75 % is under' => [75, 100, true, Standing::Under];
        yield 'just below 75 %' => [74.9, 100, true, Standing::WellShort];
        yield '110 % is near' => [110, 100, true, Standing::Near];
        yield 'just above 110 %' => [110.1, 100, true, Standing::Above];
        // Checks of the trade; common practice, no source.
        yield '95/90 label, read' => [92.98, 95, true, Standing::Near];
        yield '95/90 label, write' => [86.4, 90, true, Standing::Near];
        yield '95/90 on another host, read' => [82.7, 95, true, Standing::Under];
        yield '95/90 on another host, write' => [76.9, 90, true, Standing::Under];
        yield 'V60 card far off' => [11.7, 130, true, Standing::WellShort];
        yield 'label says 15, measures far above' => [60, 15, true, Standing::Above];
        yield '170 in an ordinary reader' => [90, 170, false, Standing::NotJudgedHere];
        yield '170 in the matching reader' => [164, 170, false, Standing::Near];
    }

    #[DataProvider('standings')]
    public function test_a_speed_stands_to_the_label(float $measured, float $claim, bool $isTheCards, Standing $standing): void
    {
        self::assertSame(
            $standing,
            Standing::of(Rate::megabytesPerSecond($measured), Rate::megabytesPerSecond($claim), fn (): bool => $isTheCards),
        );
    }

    /** @return iterable<string, array{non-empty-list<float>, float, bool, list<Suspicion>}> MB/s, the most on paper, forgot */
    public static function suspects(): iterable
    {
        yield 'plain' => [[90, 91, 89], 104, true, []];
        yield 'at the ceiling' => [[104], 104, true, []];
        yield 'above the ceiling' => [[2410], 104, true, [Suspicion::FasterThanPaper]];
        yield 'one of several above it' => [[90, 105], 104, true, [Suspicion::FasterThanPaper]];
        yield 'not forgotten' => [[90], 104, false, [Suspicion::NotForgotten]];
        yield 'differ by half' => [[60, 90], 104, true, []];
        yield 'differ more' => [[60, 90.1], 104, true, [Suspicion::Uneven]];
        yield 'one of five is left out' => [[90, 91, 89, 90, 30], 104, true, []];
        yield 'two of five are not' => [[90, 91, 89, 30, 31], 104, true, [Suspicion::Uneven]];
        yield 'all of it' => [[90, 2410], 104, false, [Suspicion::FasterThanPaper, Suspicion::NotForgotten, Suspicion::Uneven]];
    }

    /**
     * @param  non-empty-list<float>  $rates
     * @param  list<Suspicion>  $expected
     */
    #[DataProvider('suspects')]
    public function test_a_number_that_may_be_the_hosts_cache_is_suspected(array $rates, float $paper, bool $forgot, array $expected): void
    {
        $way = WayReading::of(
            array_map(fn (float $rate): float => $rate * 1e6, $rates),
            null,
            Rate::megabytesPerSecond($paper),
            $forgot,
            disagrees: false,
            slipOf: null,
            isTheCards: null,
        );
        self::assertSame($expected, $way->suspicions);
        self::assertSame($expected === [], $way->why() === '');
        // Of uneven runs what all of them say still counts; any other suspicion strikes the figure.
        self::assertSame(array_diff(array_map(fn (Suspicion $one): string => $one->value, $expected), ['uneven']) !== [], $way->isStruck());
    }

    public function test_one_outlier_of_five_is_ringed_and_left_out(): void
    {
        $way = WayReading::of(
            [121e6, 122e6, 25e6, 120e6, 121e6],
            null,
            Rate::megabytesPerSecond(312),
            true,
            disagrees: false,
            slipOf: null,
            isTheCards: null,
        );
        self::assertSame([[2], true, 4, 121e6], [$way->outliers, $way->isLeftOut, $way->summary->count, $way->summary->median]);
        self::assertSame('run 3 lies apart from the others and is left out', $way->apart());
    }

    private static function record(?float $write, ?float $read, bool $forgot = true): SpeedRecord
    {
        $three = fn (?float $rate): array => $rate === null ? [] : [$rate * 0.99e6, $rate * 1e6, $rate * 1.01e6];

        return new SpeedRecord(Bytes::gigabytes(1), $three($write), $three($read), $forgot, wrong: 0, from: Bytes::of(0));
    }

    public function test_a_reading_holds_both_ways_against_the_label(): void
    {
        $label = new Label(
            Form::Sd,
            Bytes::gigabytes(64),
            bus: Bus::UhsI,
            read: Rate::megabytesPerSecond(95),
            write: Rate::megabytesPerSecond(90),
        );
        $reading = SpeedReading::of(self::record(86.5, 92.5), Chain::over('R3', Bus::UhsI, HostLink::UsbGen1), $label);
        self::assertSame(86.5, $reading->write?->median()->megabytes());
        self::assertSame(Standing::Near, $reading->read?->standing);
        self::assertEqualsWithDelta(0.961, $reading->write->share(), 0.001);
        self::assertTrue($reading->read->isTrusted());
    }

    public function test_a_write_ends_with_a_flush_and_is_not_suspected_of_the_cache(): void
    {
        $reading = SpeedReading::of(
            self::record(86, 3000, false),
            Chain::unnamed(),
            new Label(Form::Sd, Bytes::gigabytes(64), bus: Bus::UhsI),
        );
        self::assertTrue($reading->write?->isTrusted());
        self::assertFalse($reading->read?->isTrusted());
    }

    public function test_nothing_measured_is_no_reading(): void
    {
        self::assertSame(
            [],
            SpeedReading::of(self::record(null, null), Chain::unnamed(), new Label(Form::Sd, Bytes::gigabytes(64)))->ways(),
        );
    }

    public function test_the_same_figures_are_settled_anew_when_a_label_is_corrected(): void
    {
        $chain = Chain::over('R2', Bus::UhsII, HostLink::UsbGen2);
        $label = fn (?Bus $bus): Label => new Label(Form::Sd, Bytes::gigabytes(64), bus: $bus, read: Rate::megabytesPerSecond(170));
        self::assertSame(Standing::WellShort, SpeedReading::of(self::record(null, 90), $chain, $label(Bus::UhsII))->read?->standing);
        self::assertSame(Standing::NotJudgedHere, SpeedReading::of(self::record(null, 90), $chain, $label(Bus::UhsI))->read?->standing);
        self::assertSame('UHS-I bus', $chain->surest($label(Bus::UhsI))->links[0]->name);
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
            } catch (InvalidArgumentException $fault) {
                self::assertNotSame('', $fault->getMessage());
            }
        }
    }
}
