<?php

declare(strict_types=1);

namespace Tests\Property;

use DateTimeImmutable;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Buying\BuyingCriterion;
use Tally\Buying\Choice;
use Tally\Buying\Need;
use Tally\Buying\Offer;
use Tally\Buying\Price;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Ledger\CardPast;
use Tally\Ledger\Due;
use Tally\Ledger\DueRules;
use Tally\Ledger\Incident;
use Tally\Ledger\IncidentKind;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\Proportion;
use Tally\Reading\Trend;

/** What must hold of trends, proportions, due days and what is bought, whatever the figures are. */
final class LedgerPropertiesTest extends TestCase
{
    private Randomizer $chance;

    protected function setUp(): void
    {
        $this->chance = new Randomizer(new Mt19937(16));
    }

    /** @return list<array{float, float}> */
    private function points(int $count, float $slope, int $noise): array
    {
        $points = [];
        for ($i = 0; $i < $count; $i++) {
            $x = (float) ($i * 10 + $this->chance->getInt(0, 9));
            $points[] = [$x, 80.0 + $slope * $x + $this->chance->getInt(-$noise, $noise) / 10];
        }

        return $points;
    }

    public function test_a_trend_goes_with_its_figures_however_they_are_shifted_stretched_or_ordered(): void
    {
        for ($round = 0; $round < 60; $round++) {
            $points = $this->points($this->chance->getInt(5, 14), $this->chance->getInt(-20, 20) / 100, 30);
            $trend = Trend::of($points);
            self::assertNotNull($trend);
            self::assertTrue($trend->low <= $trend->slope && $trend->slope <= $trend->high);
            $moved = Trend::of(array_map(fn (array $one): array => [$one[0] + 500, $one[1] - 30], $points));
            self::assertEqualsWithDelta($trend->slope, $moved?->slope, 1e-9);
            self::assertSame($trend->isTold(), $moved?->isTold());
            $twice = Trend::of(array_map(fn (array $one): array => [$one[0], 2 * $one[1]], $points));
            self::assertEqualsWithDelta(2 * $trend->slope, $twice?->slope, 1e-9);
            $other = Trend::of($this->chance->shuffleArray($points));
            self::assertEqualsWithDelta([$trend->slope, $trend->low, $trend->high], [$other?->slope, $other?->low, $other?->high], 1e-9);
            $up = Trend::of(array_map(fn (array $one): array => [$one[0], -$one[1]], $points));
            self::assertEqualsWithDelta([-$trend->high, -$trend->low], [$up?->low, $up?->high], 1e-9);
        }
    }

    public function test_noise_alone_is_seldom_told_and_a_clear_fall_always(): void
    {
        $told = 0;
        for ($round = 0; $round < 400; $round++) {
            $told += Trend::of($this->points(8, 0.0, 50))?->isTold() === true ? 1 : 0;
            self::assertTrue(Trend::of($this->points(8, -0.5, 10))?->isTold());
        }
        // 95 %: one in twenty, and a little more of so few figures.
        self::assertLessThan(400 * 0.09, $told);
    }

    public function test_a_proportion_lies_in_its_interval_which_narrows_with_what_is_seen(): void
    {
        for ($round = 0; $round < 200; $round++) {
            $of = $this->chance->getInt(1, 400);
            $one = new Proportion($this->chance->getInt(0, $of), $of);
            self::assertTrue($one->low >= 0.0 && $one->low <= $one->share() && $one->share() <= $one->high && $one->high <= 1.0);
            $more = new Proportion($one->count * 4, $of * 4);
            self::assertLessThan($one->high - $one->low, $more->high - $more->low);
            $others = new Proportion($of - $one->count, $of);
            self::assertEqualsWithDelta([1 - $one->high, 1 - $one->low], [$others->low, $others->high], 1e-12);
        }
    }

    public function test_a_stricter_rule_is_never_due_later(): void
    {
        $day = fn (int $days): DateTimeImmutable => (new DateTimeImmutable('2026-01-31 10:00 UTC'))->modify("+{$days} days");
        for ($round = 0; $round < 200; $round++) {
            $proven = $this->chance->getInt(0, 300);
            $past = new CardPast(
                Bytes::gigabytes(64),
                $day($proven),
                $day($this->chance->getInt(0, 400)),
                Bytes::gigabytes(100),
                filled: $this->chance->getInt(0, 1) === 1 ? $day($proven + $this->chance->getInt(1, 90)) : null,
                incident: $this->chance->getInt(0, 1) === 1
                    ? new Incident(IncidentKind::Dropped, $day($this->chance->getInt(0, 500)))
                    : null,
            );
            [$prove, $measure] = [$this->chance->getInt(1, 24), $this->chance->getInt(1, 24)];
            $loose = Due::of($past, new DueRules($prove + 1, $measure + 1, afterIncident: false));
            $strict = Due::of($past, new DueRules($prove, $measure));
            self::assertLessThanOrEqual($loose[0]->on, $strict[0]->on);
            $days = array_map(fn (Due $one): int => $one->on->getTimestamp(), $strict);
            $sorted = $days;
            sort($sorted);
            self::assertSame($sorted, $days);
        }
    }

    /** @return list<Offer> */
    private function offers(int $count): array
    {
        $offers = [];
        for ($i = 0; $i < $count; $i++) {
            $offers[] = new Offer(
                "m{$i}",
                '',
                new Label(Form::Sd, Bytes::gigabytes(2 ** $this->chance->getInt(5, 9))),
                Price::of($this->chance->getInt(500, 40000), 'EUR'),
                on: '',
                keepsUp: $this->chance->getInt(0, 4) === 0 ? null : Rate::megabytesPerSecond((float) $this->chance->getInt(10, 300)),
                isStruckOut: $this->chance->getInt(0, 5) === 0,
            );
        }

        return $offers;
    }

    public function test_no_offer_beats_one_on_the_frontier_and_each_off_it_is_beaten(): void
    {
        for ($round = 0; $round < 100; $round++) {
            $choice = new Choice($this->offers($this->chance->getInt(1, 25)), new Need(null, null, Bytes::of(0), 1));
            $frontier = $choice->frontier();
            $beats = fn (Offer $a, Offer $b): bool => $a->keepsUp !== null &&
                $b->keepsUp !== null &&
                $a->perGigabyte()->isLessThanOrEqualTo($b->perGigabyte()) &&
                ! $a->keepsUp->isBelow($b->keepsUp) &&
                ($a->perGigabyte()->isLessThan($b->perGigabyte()) || $b->keepsUp->isBelow($a->keepsUp));
            foreach ($choice->offers as $offer) {
                $beaten = array_filter($choice->offers, fn (Offer $other): bool => $beats($other, $offer)) !== [];
                self::assertFalse($offer->isStruckOut);
                if (in_array($offer, $frontier, true)) {
                    self::assertFalse($beaten);
                } elseif ($offer->keepsUp !== null) {
                    $same = array_filter(
                        $frontier,
                        fn (Offer $other): bool => $other->perGigabyte()->isEqualTo($offer->perGigabyte()) &&
                            $other->keepsUp?->bytesPerSecond === $offer->keepsUp->bytesPerSecond,
                    );
                    self::assertTrue($beaten || $same !== []);
                }
            }
        }
    }

    public function test_what_is_picked_passes_is_large_enough_and_nothing_that_does_is_cheaper(): void
    {
        for ($round = 0; $round < 100; $round++) {
            $floor = Rate::megabytesPerSecond((float) $this->chance->getInt(10, 200));
            $need = new Need($floor, $floor, Bytes::gigabytes(64), $this->chance->getInt(1, 9));
            $choice = new Choice($this->offers(20), $need);
            $pick = $choice->pick(BuyingCriterion::Cheapest);
            $passing = array_filter($choice->offers, $choice->passes(...));
            self::assertSame($passing === [], $pick === null);
            foreach ($passing as $other) {
                self::assertLessThanOrEqual($other->total($need->cards), $pick?->total($need->cards));
                self::assertGreaterThanOrEqual(64_000_000_000, $other->label->capacity->count);
            }
            $value = $choice->pick(BuyingCriterion::Value);
            self::assertSame($pick === null, $value === null);
            self::assertTrue($value === null || ($choice->passes($value) && in_array($value, $choice->frontier(), true)));
            self::assertNull($choice->pick(BuyingCriterion::Guaranteed));
        }
    }
}
