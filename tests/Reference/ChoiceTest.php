<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use Tally\Buying\BuyingCriterion;
use Tally\Buying\Choice;
use Tally\Buying\Need;
use Tally\Buying\Offer;
use Tally\Buying\Price;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** What to buy: the frontier against a general-purpose library (npm’s pareto-frontier), figures and criteria of handbook § 9. */
final class ChoiceTest extends TestCase
{
    private static function offer(
        string $name,
        int $minor,
        int $gigabytes,
        ?float $keepsUp = null,
        ?Mark $mark = null,
        bool $isStruckOut = false,
        ?int $reader = null,
    ): Offer {
        return new Offer(
            $name,
            '',
            new Label(Form::Sd, Bytes::gigabytes($gigabytes), marks: $mark === null ? [] : [$mark]),
            Price::of($minor, 'EUR'),
            on: '2026-11-27',
            keepsUp: $keepsUp === null ? null : Rate::megabytesPerSecond($keepsUp),
            isStruckOut: $isStruckOut,
            reader: $reader === null ? null : Price::of($reader, 'EUR'),
        );
    }

    private static function need(float $writes, int $gigabytes = 0, int $cards = 1): Need
    {
        $size = $gigabytes === 0 ? Bytes::of(0) : Bytes::gigabytes($gigabytes);

        return new Need(Rate::megabytesPerSecond($writes), Rate::megabytesPerSecond($writes * 1.25), $size, $cards);
    }

    public function test_price_a_gigabyte_as_the_handbook_has_it(): void
    {
        self::assertSame('2.50', (string) self::offer('a', 40000, 160)->perGigabyte()->dividedBy(100)->toScale(2));
        self::assertEqualsWithDelta(1.64, self::offer('b', 21000, 128)->perGigabyte()->toFloat() / 100, 0.005);
        self::assertEqualsWithDelta(4.2, (self::offer('b', 21000, 128, 50.0)->perMegabyteASecond()?->toFloat() ?? 0.0) / 100, 1e-9);
    }

    public function test_the_frontier_is_that_of_a_general_purpose_library(): void
    {
        $chance = new Randomizer(new Mt19937(9));
        $sets = $ours = [];
        for ($round = 0; $round < 60; $round++) {
            $offers = [];
            for ($i = 0; $i < 1 + $round; $i++) {
                $offers[] = self::offer("m{$i}", $chance->getInt(500, 40000), 2 ** $chance->getInt(5, 9), (float) $chance->getInt(10, 900));
            }
            $point = fn (Offer $one): array => [$one->perGigabyte()->toFloat(), $one->keepsUp?->megabytes() ?? 0.0];
            $sets[] = array_map($point, $offers);
            $ours[] = array_map($point, (new Choice($offers, self::need(1)))->frontier());
        }
        $library = new Process(['node', __DIR__.'/node/frontier.cjs']);
        $library->setInput(json_encode($sets, JSON_THROW_ON_ERROR))->mustRun();
        $theirs = (array) json_decode($library->getOutput(), true);
        foreach ($ours as $round => $frontier) {
            self::assertEqualsCanonicalizing($theirs[$round], $frontier, "round {$round}");
        }
    }

    public function test_each_criterion_has_its_pick(): void
    {
        $offers = [
            self::offer('cheap', 2000, 128, 45.0),
            self::offer('best', 2500, 128, 90.0),
            self::offer('fast', 9000, 128, 180.0),
            self::offer('slow', 1000, 128, 20.0),
            self::offer('sham', 500, 128, 300.0, isStruckOut: true),
            self::offer('small', 300, 32, 200.0),
            self::offer('guaranteed', 6000, 128, mark: Mark::Vpg65, reader: 8900),
            self::offer('guaranteed and dear', 14000, 128, 400.0, mark: Mark::Vpg400),
        ];
        $choice = new Choice($offers, self::need(33.75, 64));
        self::assertSame('cheap', $choice->pick(BuyingCriterion::Cheapest)?->name);
        self::assertSame('best', $choice->pick(BuyingCriterion::Value)?->name);
        // Its reader is on top of its price: of one card the dear one is less, of four it is not.
        self::assertSame('guaranteed and dear', $choice->pick(BuyingCriterion::Guaranteed)?->name);
        $four = new Choice($offers, self::need(33.75, 64, 4));
        self::assertSame('guaranteed', $four->pick(BuyingCriterion::Guaranteed)?->name);
        self::assertNull((new Choice($offers, self::need(500)))->pick(BuyingCriterion::Cheapest));
        self::assertSame(['slow', 'cheap', 'best', 'fast', 'guaranteed and dear'], array_map(
            fn (Offer $one): string => $one->name,
            $choice->frontier(),
        ));
    }
}
