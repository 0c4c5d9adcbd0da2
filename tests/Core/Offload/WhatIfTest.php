<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use InvalidArgumentException;
use PHPUnit\Framework\TestCase;
use Tally\Offload\Change;
use Tally\Offload\Plan;
use Tally\Offload\Proposal;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;
use Tally\Offload\Question\Rules;
use Tally\Offload\WhatIf;
use Tally\Offload\WorthIt;
use Tests\Support\RandomOffload;

/** What a change would save, and when it has paid. */
final class WhatIfTest extends TestCase
{
    private static function question(float $write, float $uplink, int $cards, float $read = 2e9): Question
    {
        $sd = ['UHS-II' => 290e6];

        return new Question(
            [new Host('Cart', [], [new Port('p1', null, 1050e6), new Port('p2', null, 1050e6)])],
            [new Reader('R1', [new ReaderSlot('left', $sd), new ReaderSlot('right', $sd)], [], $uplink)],
            [new Drive('D1', $write, $read, inside: 'Cart')],
            array_map(fn (int $i): LadenCard => new LadenCard("C{$i}", 100e9, 0, 250e6, buses: ['UHS-II']), range(1, $cards)),
            links: ['R1' => 'Cart p1'],
            rules: new Rules(1, overhead: 0.0),
        );
    }

    /** @return array<string, float> change and what it is about → seconds that it saves */
    private static function saved(Question $question): array
    {
        $saved = [];
        foreach (WhatIf::of(Plan::of($question), 0.05) as $one) {
            $saved[implode(' + ', array_map(fn (Proposal $one): string => $one->key(), $one->proposals))] = $one->saves;
        }

        return $saved;
    }

    public function test_a_slow_drive_is_what_a_faster_one_helps(): void
    {
        $saved = self::saved(self::question(100e6, 900e6, 1));
        // 100 GB at 100 MB/s against 200 MB/s; its read-back goes from 50 s to 25 s.
        self::assertEqualsWithDelta(525.0, $saved['faster-drive D1'] ?? null, 0.01);
        self::assertArrayNotHasKey('faster-uplink R1', $saved);
    }

    public function test_a_slow_reader_is_what_a_faster_link_or_a_second_one_helps(): void
    {
        $saved = self::saved(self::question(1e12, 200e6, 2, 1e12));
        self::assertArrayNotHasKey('faster-drive D1', $saved);
        // Two cards of 250 MB/s through 200 MB/s, then through 450 MB/s.
        self::assertGreaterThan(500.0, $saved['faster-uplink R1'] ?? 0.0);
        self::assertGreaterThan(300.0, $saved['second-reader R1'] ?? 0.0);
    }

    public function test_nothing_that_saves_nothing_is_said_and_what_saves_most_comes_first(): void
    {
        for ($seed = 1; $seed <= 8; $seed++) {
            $plan = Plan::of(RandomOffload::of($seed, 4, 2, 3), Goal::Safe, 0.05);
            $found = WhatIf::of($plan, 0.02);
            $saves = array_map(fn (WhatIf $one): float => $one->saves, $found);
            $sorted = $saves;
            rsort($sorted);
            self::assertSame($sorted, $saves);
            self::assertLessThanOrEqual(5, count($found));
            foreach ($found as $one) {
                self::assertGreaterThanOrEqual(5.0, $one->saves);
                self::assertEqualsWithDelta($plan->course->done, $one->done + $one->saves, 1e-6);
                self::assertNotSame('', $one->words());
            }
        }
        self::assertFalse(Change::NoReadBack->isBought());
    }

    /** 100 GB at 88.5 MB/s is 18.8 min, at 206.2 MB/s 8.1 min. Common practice, no source. */
    public function test_minutes_times_offloads_times_an_hour_against_the_price(): void
    {
        $worth = new WorthIt(100e9 / 88.5e6 - 100e9 / 206.2e6, 20, 45, 320);
        self::assertEqualsWithDelta(20 * (18.8 - 8.1), $worth->minutes(), 2.0);
        self::assertEqualsWithDelta($worth->minutes() / 60 * 45, $worth->money(), 1e-9);
        self::assertEqualsWithDelta(2.0, $worth->months(), 0.02);
        self::assertNull((new WorthIt(0, 20, 45, 320))->months(), 'what saves nothing never pays');
        $this->expectException(InvalidArgumentException::class);
        new WorthIt(60, -1, 45, 320);
    }
}
