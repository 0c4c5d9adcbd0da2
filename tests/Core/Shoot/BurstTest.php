<?php

declare(strict_types=1);

namespace Tests\Core\Shoot;

use InvalidArgumentException;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Shoot\BodyOrCard;
use Tally\Shoot\Burst;
use Tally\Shoot\DrainLimit;
use Tally\Shoot\DrainsOfCard;
use Tally\Shoot\NotABurst;

/** Bursts both ways. Formulas: handbook § 7. */
final class BurstTest extends TestCase
{
    public function test_what_was_logged_gives_drain_and_buffer_and_those_give_it_back(): void
    {
        $frame = Bytes::parse('24.6 MB');
        $burst = Burst::logged(12, $frame, 10.0, Span::parse('23 s'));
        // 295.2 MB in 24.2 s.
        self::assertSame('12.1983', number_format($burst->drain->megabytes(), 4));
        self::assertSame('280.5620', number_format($burst->buffer->count / 1e6, 4));
        $again = Burst::predicted($frame, 10.0, $burst->buffer, $burst->drain);
        self::assertSame(12, $again->frames);
        self::assertEqualsWithDelta(23.0, $again->clear->seconds, 1e-6);
        self::assertEqualsWithDelta(1.2, (float) $again->lasts()?->seconds, 1e-9);
        // 12 frames clearing in 23 s against 93 s: common practice, no source.
        $slower = Burst::logged(12, $frame, 10.0, Span::parse('93 s'));
        self::assertSame('4.04', number_format($slower->clear->seconds / $burst->clear->seconds, 2));
    }

    public function test_frame_by_frame_it_comes_to_the_same(): void
    {
        $chance = new Randomizer(new Mt19937(7));
        $endless = 0;
        for ($i = 0; $i < 500; $i++) {
            $frame = 1e6 * $chance->getInt(5, 80);
            $perSecond = $chance->getInt(3, 30);
            // From far slower to a little faster than frames come, the edge itself among them.
            $share = $i % 25 === 0 ? 100 : $chance->getInt(2, 110);
            $drain = ($frame * $perSecond * $share) / 100;
            $buffer = (int) ($frame * $chance->getInt(1, 60) + $chance->getInt(0, 999_999));
            $burst = Burst::predicted(Bytes::of((int) $frame), $perSecond, Bytes::of($buffer), Rate::bytesPerSecond($drain));
            $simulated = self::simulated($frame, $perSecond, $buffer, $drain);
            if ($share >= 100) {
                $endless++;
                self::assertTrue($burst->isEndless() && $simulated === null, "case {$i}");
            } else {
                self::assertNotNull($simulated);
                self::assertEqualsWithDelta($simulated, (int) $burst->frames, 1.0, "case {$i}: {$share} %");
                self::assertEqualsWithDelta($buffer / $drain, $burst->clear->seconds, 1e-6);
            }
        }
        self::assertGreaterThan(20, $endless);
    }

    /** Frames come one by one, the buffer drains all the while, and the first that has no room left makes the camera slow. */
    private static function simulated(float $frame, float $perSecond, float $buffer, float $drain): ?int
    {
        $held = 0.0;
        for ($taken = 0; $taken < 20_000; $taken++) {
            $held = max(0.0, $held + $frame - $drain / $perSecond);
            if ($held > $buffer + 1e-3) {
                return $taken;
            }
        }

        return null;
    }

    public function test_what_is_no_burst_is_told(): void
    {
        foreach ([[0, '24.6 MB', 10.0, 'frames'], [12, '0 B', 10.0, 'no bytes'], [12, '24.6 MB', 0.0, 'second']] as $one) {
            try {
                Burst::logged($one[0], Bytes::parse($one[1]), $one[2], Span::parse('23 s'));
                self::fail("{$one[3]} was taken");
            } catch (NotABurst $no) {
                self::assertStringContainsString($one[3], $no->getMessage());
            }
        }
        $this->expectExceptionMessage('never filled');
        Burst::logged(12, Bytes::parse('24.6 MB'), 10.0, Span::seconds(0));
    }

    public function test_body_or_card(): void
    {
        $rate = fn (float $megabytes): Rate => Rate::megabytesPerSecond($megabytes);
        $body = BodyOrCard::of([
            'QS-014' => new DrainsOfCard([80e6, 82e6, 79e6], $rate(120)),
            'QS-015' => new DrainsOfCard([81e6, 78e6, 80e6], $rate(240)),
        ]);
        self::assertSame([DrainLimit::Body, true], [$body->limit, $body->isByTwoCards]);
        self::assertEqualsWithDelta(80e6, (float) $body->drain?->mean, 1e6);
        $card = BodyOrCard::of([
            'QS-014' => new DrainsOfCard([80e6, 82e6, 79e6], $rate(82)),
            'QS-015' => new DrainsOfCard([210e6, 205e6, 214e6], $rate(240)),
        ]);
        self::assertSame(DrainLimit::Card, $card->limit);
        // One card: far below what it was measured to write is the body; near it, nobody knows.
        $far = BodyOrCard::of(['QS-015' => new DrainsOfCard([80e6, 81e6, 79e6], $rate(240))]);
        self::assertSame([DrainLimit::Body, false], [$far->limit, $far->isByTwoCards]);
        self::assertNull(BodyOrCard::of(['QS-014' => new DrainsOfCard([80e6, 82e6, 79e6], $rate(85))])->limit);
        self::assertNull(BodyOrCard::of(['QS-014' => new DrainsOfCard([80e6], null)])->limit);
        // Two of the same speed tell nothing of the body.
        self::assertNull(
            BodyOrCard::of([
                'A' => new DrainsOfCard([80e6, 81e6], $rate(90)),
                'B' => new DrainsOfCard([80e6, 79e6], $rate(92)),
            ])->limit,
        );
        self::assertNull(BodyOrCard::of([])->limit);
    }

    public function test_a_drain_that_no_card_has_is_told(): void
    {
        $frame = Bytes::parse('24.6 MB');
        foreach (
            [
                fn (): Burst => Burst::logged(49, $frame, 10, Span::parse('9000 h')),
                fn (): Burst => Burst::predicted($frame, 10, Bytes::parse('1 GB'), Rate::parse('90 GB/s')),
                fn (): Burst => Burst::predicted($frame, 10, Bytes::parse('1 GB'), Rate::parse('50 kB/s')),
            ] as $absurd
        ) {
            try {
                $absurd();
                self::fail('It was taken.');
            } catch (InvalidArgumentException $fault) {
                self::assertStringContainsString('a card takes from 0.1 to 8000 MB/s', $fault->getMessage());
            }
        }
    }
}
