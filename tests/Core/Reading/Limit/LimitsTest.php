<?php

declare(strict_types=1);

namespace Tests\Core\Reading\Limit;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Reading\Limit\Bound;
use Tally\Reading\Limit\Cell;
use Tally\Reading\Limit\LimitedBy;
use Tally\Reading\Limit\Limits;

final class LimitsTest extends TestCase
{
    private static function cell(string $card, string $reader, float $megabytes, string $make = 'one make'): Cell
    {
        return new Cell(
            $card,
            $reader,
            array_map(fn (float $off): float => $megabytes * 1e6 * (1 + $off), [-0.008, -0.003, 0.0, 0.004, 0.007]),
            $make,
        );
    }

    /** @param  list<Bound>  $bounds */
    private static function bound(array $bounds, string $name): Bound
    {
        foreach ($bounds as $bound) {
            if ($bound->name === $name) {
                return $bound;
            }
        }
        self::fail("no bound for {$name}");
    }

    public function test_a_card_that_is_faster_elsewhere_was_held_back_by_the_reader(): void
    {
        $limits = Limits::of([self::cell('A', 'R1', 93), self::cell('A', 'R2', 238)]);
        self::assertSame(LimitedBy::Reader, $limits->at('A', 'R1')?->by);
        self::assertStringContainsString('A reached 238 MB/s in R2', $limits->at('A', 'R1')->why);
        self::assertSame(LimitedBy::Undecided, $limits->at('A', 'R2')?->by);
    }

    public function test_a_reader_that_is_faster_with_another_card_was_held_back_by_this_one(): void
    {
        $limits = Limits::of([self::cell('A', 'R2', 238), self::cell('B', 'R2', 90)]);
        self::assertSame(LimitedBy::Card, $limits->at('B', 'R2')?->by);
        self::assertSame(LimitedBy::Undecided, $limits->at('A', 'R2')?->by);
    }

    public function test_eight_different_cards_at_one_figure_are_the_reader(): void
    {
        // Handbook § 4, common practice: eight different cards all reading 89–90 in one reader: the reader.
        $cells = array_map(fn (int $i): Cell => self::cell("C{$i}", 'R3', 89 + $i / 8, "make {$i}"), range(1, 8));
        foreach (Limits::of($cells)->rulings as $ruling) {
            self::assertSame(LimitedBy::Reader, $ruling->by);
        }
    }

    public function test_one_card_that_writes_and_reads_at_one_figure_is_held_back_by_the_reader(): void
    {
        // Handbook § 4, common practice: one card 950 write and 950 read: the reader.
        $cell = fn (float $otherWay): Cell => new Cell('A', 'R5', [948e6, 950e6, 952e6], 'one make', otherWay: $otherWay * 1e6);
        self::assertSame(LimitedBy::Reader, Limits::of([$cell(950)])->at('A', 'R5')?->by);
        self::assertSame(LimitedBy::Reader, Limits::of([$cell(962)])->at('A', 'R5')?->by);
        self::assertSame(LimitedBy::Undecided, Limits::of([$cell(975)])->at('A', 'R5')?->by);
    }

    public function test_no_reader_is_blamed_by_a_slow_old_card(): void
    {
        // Both ways at one figure, but far under what the chain gives at the very least: that is the card.
        $cell = fn (float $least): Cell => new Cell('A', 'R1', [19.9e6, 20e6, 20.1e6], 'one make', otherWay: 20e6, least: $least * 1e6);
        self::assertSame(LimitedBy::Card, Limits::of([$cell(85)])->at('A', 'R1')?->by);
        self::assertSame(LimitedBy::Reader, Limits::of([$cell(20)])->at('A', 'R1')?->by);
        $slow = array_map(
            fn (int $i): Cell => new Cell("C{$i}", 'R1', [20e6, 20.1e6, 19.9e6], "make {$i}", otherWay: null, least: 85e6),
            range(1, 3),
        );
        foreach (Limits::of($slow)->rulings as $ruling) {
            self::assertSame(LimitedBy::Card, $ruling->by, 'three slow cards of different make are no slow reader');
        }
    }

    public function test_cards_of_one_make_may_agree_because_they_are_alike(): void
    {
        $cells = array_map(fn (int $i): Cell => self::cell("C{$i}", 'R3', 89 + $i / 8), range(1, 8));
        foreach (Limits::of($cells)->rulings as $ruling) {
            self::assertSame(LimitedBy::Undecided, $ruling->by);
        }
    }

    public function test_beside_a_card_that_the_reader_holds_back_another_at_the_same_figure_is_held_back_too(): void
    {
        $limits = Limits::of([self::cell('A', 'R1', 93), self::cell('A', 'R2', 238), self::cell('B', 'R1', 93.5)]);
        self::assertSame(LimitedBy::Reader, $limits->at('B', 'R1')?->by);
    }

    public function test_a_card_that_does_no_more_in_a_faster_reader_is_the_limit_here_too(): void
    {
        $elsewhere = [self::cell('A', 'R2', 238), self::cell('B', 'R2', 90)];
        self::assertSame(LimitedBy::Card, Limits::of([...$elsewhere, self::cell('B', 'R3', 90.3)])->at('B', 'R3')?->by);
        // Where the reader holds others back at the same figure, either may be it.
        $both = Limits::of([...$elsewhere, self::cell('B', 'R1', 90.3), self::cell('A', 'R1', 91)])->at('B', 'R1');
        self::assertSame(LimitedBy::Undecided, $both?->by);
        self::assertStringContainsString('about as fast', $both->why);
    }

    public function test_the_next_run_is_one_that_can_be_made(): void
    {
        $limits = Limits::of([self::cell('A', 'R2', 238), self::cell('B', 'R1', 90)]);
        self::assertNull($limits->next(fn (string $card, string $reader): bool => $card === $reader));
        self::assertSame('A', $limits->next(fn (string $card, string $reader): bool => $card === 'A')['card'] ?? null);
    }

    public function test_a_single_look_decides_only_where_no_noise_could(): void
    {
        $look = fn (string $card, string $reader, float $megabytes): Cell => new Cell($card, $reader, [$megabytes * 1e6]);
        self::assertSame(LimitedBy::Undecided, Limits::of([$look('A', 'R1', 90), $look('A', 'R2', 100)])->at('A', 'R1')?->by);
        self::assertSame(LimitedBy::Reader, Limits::of([$look('A', 'R1', 90), $look('A', 'R2', 200)])->at('A', 'R1')?->by);
    }

    public function test_both_faster_elsewhere_is_something_else(): void
    {
        $limits = Limits::of([self::cell('A', 'R1', 60), self::cell('A', 'R2', 238), self::cell('B', 'R1', 90)]);
        self::assertSame(LimitedBy::Undecided, $limits->at('A', 'R1')?->by);
        self::assertStringContainsString('something else', $limits->at('A', 'R1')->why);
    }

    public function test_ceilings_are_settled_with_an_interval_or_known_from_below(): void
    {
        $limits = Limits::of([self::cell('A', 'R1', 93), self::cell('A', 'R2', 238), self::cell('B', 'R2', 90)]);
        $reader = self::bound($limits->readers(), 'R1');
        self::assertTrue($reader->isSettled());
        self::assertEqualsWithDelta(93e6, $reader->rate, 1e5);
        self::assertEqualsWithDelta(0.7e6, $reader->margin, 0.2e6);
        $card = self::bound($limits->cards(), 'A');
        self::assertFalse($card->isSettled());
        self::assertEqualsWithDelta(238e6, $card->rate, 1e5);
        self::assertTrue(self::bound($limits->cards(), 'B')->isSettled());
    }

    public function test_the_next_run_takes_an_undecided_card_to_a_faster_reader(): void
    {
        $next = Limits::of([self::cell('A', 'R2', 238), self::cell('B', 'R1', 90)])->next();
        self::assertSame(['card' => 'B', 'reader' => 'R2', 'settles' => 1], $next);
        self::assertNull(Limits::of([])->next());
        self::assertNull(Limits::of([self::cell('A', 'R1', 90)])->next());
    }

    public function test_two_hundred_grids_of_known_truth(): void
    {
        [$right, $wrong, $undecided] = [0, 0, 0];
        for ($seed = 1; $seed <= 200; $seed++) {
            [$cells, $truth] = self::grid($seed);
            foreach (Limits::of($cells)->rulings as $ruling) {
                $by = $truth["{$ruling->cell->card} {$ruling->cell->reader}"] ?? null;
                match (true) {
                    $ruling->by === LimitedBy::Undecided => $undecided++,
                    $ruling->by === $by => $right++,
                    default => $wrong++,
                };
            }
        }
        self::assertGreaterThan(1000, $right);
        self::assertGreaterThanOrEqual(0.95, $right / ($right + $wrong));
        self::assertLessThan($right, $undecided);
    }

    /**
     * @return array{list<Cell>, array<string, LimitedBy|null>} cells of runs that scatter; which link was the limit, null where
     * both are as fast
     */
    private static function grid(int $seed): array
    {
        $chance = new Randomizer(new Xoshiro256StarStar($seed));
        $normal = fn (): float => sqrt(-2 * log($chance->getInt(1, 1_000_000) / 1e6)) *
            cos((2 * M_PI * $chance->getInt(1, 1_000_000)) / 1e6);
        $spread = $chance->getInt(3, 30) / 1000;
        [$cells, $truth] = [[], []];
        $readers = array_map(fn (): float => $chance->getInt(40, 300) * 1e6, range(1, $chance->getInt(2, 5)));
        foreach (range(1, $chance->getInt(2, 8)) as $i) {
            $card = $chance->getInt(40, 300) * 1e6;
            foreach ($readers as $j => $reader) {
                if ($chance->getInt(1, 100) <= 40) {
                    continue;
                }
                $rates = array_map(fn (): float => min($card, $reader) * (1 + $spread * $normal()), range(1, 5));
                $cells[] = new Cell("C{$i}", "R{$j}", $rates, "make {$i}");
                $truth["C{$i} R{$j}"] = match (true) {
                    abs($card / $reader - 1) < 0.01 => null,
                    $card < $reader => LimitedBy::Card,
                    default => LimitedBy::Reader,
                };
            }
        }

        return [$cells, $truth];
    }
}
