<?php

declare(strict_types=1);

namespace Tally\Probe\Screen;

use InvalidArgumentException;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;
use Tally\Value\Key;

/**
 * Which places a quick screen stamps, the same ones for the same imprint.
 *
 * Drawn: one at random in each of K equal parts of the medium; these carry the statistics. Besides: both ends, powers of
 * two, and against media that start over a ladder: rungs at even distances all along, and a dense stretch at the very end,
 * twice as long as from one rung to the next. Wherever that stretch truly lies in the memory, it meets a rung there.
 */
final readonly class ScreenPlan
{
    public const POINTS = 256;

    public const LEAST = 16;

    public const MOST = 4096;

    /** A rung costs about as much as this many bytes of the dense stretch, so the two are balanced. */
    private const BALANCE = TestPattern::BLOCK;

    /** Reached at 8 TB; beyond it the dense stretch grows instead, so that a plan of any size is made in the same time. */
    private const MOST_RUNGS = 4096;

    /** @throws InvalidArgumentException when the number of places is out of range */
    public function __construct(public Bytes $size, public int $points = self::POINTS, #[Key('imprint')] public int $seed = 1)
    {
        if ($points < self::LEAST || $points > self::MOST) {
            throw new InvalidArgumentException(
                "The number of places was {$points}: give one from ".self::LEAST.' to '.self::MOST.'.',
            );
        }
    }

    /** Bytes of a place: whole blocks of the pattern, less on a medium so small that they would fill it. */
    public function length(): int
    {
        $length = TestPattern::BLOCK;
        while ($length > 4096 && $length * $this->points * 4 > $this->size->count) {
            $length = intdiv($length, 4);
        }

        return $length;
    }

    /** @return list<int> addresses of the places that were drawn, ascending */
    public function drawn(): array
    {
        $chance = new Randomizer(new Xoshiro256StarStar($this->seed));
        $length = $this->length();
        $slots = max(1, intdiv($this->size->count, $length));
        $places = [];
        for ($i = 0; $i < min($this->points, $slots); $i++) {
            $from = intdiv($i * $slots, min($this->points, $slots));
            $to = intdiv(($i + 1) * $slots, min($this->points, $slots)) - 1;
            $places[] = $length * $chance->getInt($from, max($from, $to));
        }

        return $places;
    }

    /** @return list<int> all places but those of the dense stretch, ascending */
    public function places(): array
    {
        $length = $this->length();
        $last = max(0, intdiv($this->size->count, $length) - 1) * $length;
        $step = max(intdiv($this->dense(), 2), $length);
        $places = [...$this->drawn(), 0];
        for ($power = $length; $power <= $last; $power *= 2) {
            $places[] = $power;
        }
        for ($rung = $step; $rung <= $last; $rung += $step) {
            $places[] = $rung - ($rung % $length);
        }
        $places = array_values(array_unique(array_filter($places, fn (int $place): bool => $place + $length <= $this->denseFrom())));
        sort($places);

        return $places;
    }

    /** Where the dense stretch begins: at a block of the pattern. */
    public function denseFrom(): int
    {
        $from = max(0, $this->size->count - $this->dense());

        return $from - ($from % TestPattern::BLOCK);
    }

    /** @return int bytes to the end that are written without a gap, or a little more */
    private function dense(): int
    {
        $even = 2 * (int) sqrt(($this->size->count / 2) * (float) self::BALANCE);

        return min($this->size->count, max(2 * TestPattern::BLOCK, $even, intdiv(2 * $this->size->count, self::MOST_RUNGS)));
    }

    /** Bytes that are written, and read back, in all. */
    public function total(): Bytes
    {
        return Bytes::of($this->size->count - $this->denseFrom() + count($this->places()) * $this->length());
    }
}
