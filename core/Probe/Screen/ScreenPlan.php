<?php

declare(strict_types=1);

namespace Tally\Probe\Screen;

use InvalidArgumentException;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Pattern\Imprint;
use Tally\Quantity\Bytes;

/**
 * Which places a quick screen stamps, the same ones for the same imprint.
 *
 * Drawn: one at random in each of K equal parts of the medium; these carry the statistics. Besides: both ends, powers of
 * two, and against media that start over a ladder: rungs at even distances to the very end, and a dense stretch at the
 * beginning as long as from one rung to the next. Whatever the lap, one of the rungs falls into that stretch.
 */
final readonly class ScreenPlan
{
    public const POINTS = 256;

    public const LEAST = 16;

    public const MOST = 4096;

    /** A rung and this many bytes of the dense stretch cost about the same, so their products are balanced. */
    private const BALANCE = Imprint::BLOCK;

    /** Up to 12 TB some rung is sure to fall into the dense stretch; on larger media it is likely. */
    private const MOST_RUNGS = 3000;

    private const MOST_DENSE = 4096 * Imprint::BLOCK;

    /** @throws InvalidArgumentException when the number of places is out of range */
    public function __construct(public Bytes $size, public int $points = self::POINTS, public int $seed = 1)
    {
        if ($points < self::LEAST || $points > self::MOST) {
            throw new InvalidArgumentException("The number of places was {$points}: give one from ".self::LEAST.' to '.self::MOST.'.');
        }
    }

    /** Bytes of a place: whole blocks of the pattern, less on a medium so small that they would fill it. */
    public function length(): int
    {
        $length = Imprint::BLOCK;
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
        $dense = $this->dense();
        $places = [...$this->drawn(), $last];
        for ($power = $length; $power <= $last; $power *= 2) {
            $places[] = $power;
        }
        $step = max($dense, intdiv($this->size->count, self::MOST_RUNGS));
        for ($rung = 2 * $step; $rung <= $last; $rung += $step) {
            $places[] = $rung - $rung % $length;
        }
        $places = array_values(array_unique(array_filter($places, fn (int $place): bool => $place >= $dense)));
        sort($places);

        return $places;
    }

    /** @return int bytes from the start that are written without a gap: whole blocks */
    public function dense(): int
    {
        $blocks = max(1, intdiv((int) sqrt($this->size->count * (float) self::BALANCE), Imprint::BLOCK));

        return min($this->size->count, $blocks * Imprint::BLOCK, self::MOST_DENSE);
    }

    /** Bytes that are written, and read back, in all. */
    public function total(): Bytes
    {
        return Bytes::of($this->dense() + count($this->places()) * $this->length());
    }
}
