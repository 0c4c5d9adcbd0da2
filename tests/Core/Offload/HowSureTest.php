<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use PHPUnit\Framework\TestCase;
use Tally\Chain\CeilingOrigin;
use Tally\Offload\Basis\Drawn;
use Tally\Offload\Basis\HowSure;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Basis\RateOf;
use Tally\Offload\Plan;
use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Verify;
use Tally\Value\Values;
use Tests\Support\RandomOffload;

/** How far a plan's times may be off. */
final class HowSureTest extends TestCase
{
    /** One card of 100 GB at 200 MB/s onto a drive that is never in the way: 500 s, and nothing else. */
    private static function question(): Question
    {
        return new Question(
            [new Host('Cart', [new Controller('A', 9e9)], [new Port('p1', 'A', 8e9)], 9e9, previews: 40.0)],
            [new Reader('R1', [new ReaderSlot('left', ['UHS-II' => 300e6], 'L')], ['L' => 300e6], 400e6)],
            [new Drive('D1', 7e9, 7e9, inside: 'Cart', link: 9e9)],
            [new LadenCard('C1', 100e9, 0, 200e6, buses: ['UHS-II'], readIn: ['R1' => 200e6])],
            links: ['R1' => 'Cart p1'],
            rules: new Rules(1, Verify::None, first: 0.0, overhead: 0.0),
        );
    }

    private static function rate(RateOf $of, string $thing, string $in, float $rate, float $low, float $high): KnownRate
    {
        return new KnownRate($of, $thing, $in, $rate, origin: CeilingOrigin::Practice, how: 'made up', low: $low, high: $high);
    }

    /** Quantiles of 1 ÷ x with x spread evenly between ½ and 1: 1 ÷ (1 − p ÷ 2). */
    public function test_the_middle_of_many_is_that_of_the_distribution_that_rates_are_drawn_from(): void
    {
        $plan = Plan::of(self::question());
        self::assertEqualsWithDelta(500.0, $plan->course->done, 1e-6);
        $sure = HowSure::of($plan, [self::rate(RateOf::CardIn, 'C1', 'R1', 200e6, low: 100e6, high: 200e6)], 4000);
        foreach ([0.1, 0.5, 0.9] as $i => $part) {
            self::assertEqualsWithDelta(500 / (1 - $part / 2), $sure->done[$i], 12.0);
        }
        self::assertEquals($sure->done, $sure->free, 'of one card without read-back, free is done');
    }

    public function test_without_a_spread_all_of_them_are_the_plan_and_the_same_question_gets_the_same_answer(): void
    {
        $plan = Plan::of(RandomOffload::of(3, 5, 3, 3), Goal::Safe, 0.05);
        $steady = array_map(
            fn (Drive $drive): KnownRate => self::rate(
                RateOf::DriveWrite,
                $drive->name,
                '',
                $drive->write,
                low: $drive->write,
                high: $drive->write,
            ),
            $plan->question->drives,
        );
        $done = $plan->course->done;
        self::assertEqualsWithDelta([$done, $done, $done], HowSure::of($plan, $steady, 20)->done, 1e-6);
        $spread = array_map(
            fn (Drive $drive): KnownRate => self::rate(
                RateOf::DriveWrite,
                $drive->name,
                '',
                $drive->write,
                low: 0.5 * $drive->write,
                high: $drive->write,
            ),
            $plan->question->drives,
        );
        $sure = HowSure::of($plan, $spread, 40);
        self::assertEquals($sure, HowSure::of($plan, $spread, 40));
        self::assertGreaterThanOrEqual($sure->done[0], $sure->done[1]);
        self::assertGreaterThan($sure->done[0], $sure->done[2]);
    }

    public function test_each_rate_moves_its_own_piece_of_gear_and_nothing_else(): void
    {
        $question = self::question();
        $half = [];
        foreach ([
            [RateOf::Card, 'C1', ''], [RateOf::CardIn, 'C1', 'R1'], [RateOf::Slots, 'R1', ''], [RateOf::Uplink, 'R1', ''],
            [RateOf::Port, 'Cart', 'p1'], [RateOf::Controller, 'Cart', 'A'], [RateOf::DriveWrite, 'D1', ''], [RateOf::DriveRead, 'D1', ''],
            [RateOf::DriveLink, 'D1', ''], [RateOf::Previews, 'Cart', ''],
        ] as [$of, $thing, $in]) {
            $drawn = Drawn::question($question, [KnownRate::keyOf($of, $thing, $in) => 0.5]);
            [$host, $reader, $drive, $card] = [$drawn->hosts[0], $drawn->readers[0], $drawn->drives[0], $drawn->cards[0]];
            $half[$of->value] = array_keys(array_filter([
                'card' => $card->read === 100e6,
                'in' => $card->readIn('R1') === 100e6,
                'slot' => $reader->slots[0]->buses['UHS-II'] === 150e6 && $reader->lanes['L'] === 150e6,
                'uplink' => $reader->uplink === 200e6,
                'port' => $host->ports[0]->ceiling === 4e9,
                'controller' => $host->controllers[0]->ceiling === 4.5e9,
                'write' => $drive->write === 3.5e9,
                'read' => $drive->read === 3.5e9,
                'link' => $drive->link === 4.5e9,
                'previews' => $host->previews === 20.0,
            ]));
        }
        self::assertSame([
            'card' => ['card'], 'card-in' => ['in'], 'slots' => ['slot'], 'uplink' => ['uplink'], 'port' => ['port'],
            'controller' => ['controller'], 'drive-write' => ['write'], 'drive-read' => ['read'], 'drive-link' => ['link'],
            'previews' => ['previews'],
        ], $half);
    }

    public function test_a_rate_is_kept_and_read_again_the_same(): void
    {
        foreach (RateOf::cases() as $of) {
            $rate = self::rate($of, 'R1', 'p1', 200e6, low: 150e6, high: 220.5e6);
            $again = Values::read(KnownRate::class, json_decode(Values::json($rate), true));
            self::assertEquals($rate, $again);
            self::assertStringContainsString('R1', $rate->name());
        }
    }
}
