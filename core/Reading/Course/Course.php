<?php

declare(strict_types=1);

namespace Tally\Reading\Course;

use InvalidArgumentException;

/** How far a passage had come at every moment: bytes over time, straight between the samples. */
final readonly class Course
{
    /** @var non-empty-list<float> seconds from the start, rising, from 0 */
    public array $times;

    /** @var non-empty-list<float> bytes from the start, rising, from 0; one for each time */
    public array $bytes;

    /**
     * @param  list<array{float, float}>  $points  end of a stretch in bytes from the start, bytes a second in it; as a trace gives them
     *
     * @throws InvalidArgumentException when the points do not rise, or a rate is not above zero
     */
    public function __construct(array $points)
    {
        [$times, $bytes] = [[0.0], [0.0]];
        [$time, $at] = [0.0, 0.0];
        foreach ($points as [$end, $rate]) {
            if ($end <= $at || $rate <= 0) {
                throw new InvalidArgumentException(
                    "A course goes forward: {$end} bytes at {$rate} bytes a second cannot follow {$at} bytes.",
                );
            }
            $time += ($end - $at) / $rate;
            $at = $end;
            $times[] = $time;
            $bytes[] = $at;
        }
        [$this->times, $this->bytes] = [$times, $bytes];
    }

    /** From the beginning of the write to its end. */
    public function seconds(): float
    {
        return $this->times[count($this->times) - 1];
    }

    /** Bytes. */
    public function length(): float
    {
        return $this->bytes[count($this->bytes) - 1];
    }

    /** @return int how many stretches it has */
    public function count(): int
    {
        return count($this->times) - 1;
    }

    /** @return float bytes a second in stretch `$i` */
    public function rate(int $i): float
    {
        return ($this->bytes[$i + 1] - $this->bytes[$i]) / ($this->times[$i + 1] - $this->times[$i]);
    }

    /** @return float bytes a second over whole stretches, `$to` not included */
    public function mean(int $from, int $to): float
    {
        return ($this->bytes[$to] - $this->bytes[$from]) / ($this->times[$to] - $this->times[$from]);
    }

    /** @return float bytes that had passed at a moment */
    public function at(float $time): float
    {
        return self::between($this->times, $this->bytes, $time);
    }

    /** @return float seconds that had passed at a place */
    public function when(float $byte): float
    {
        return self::between($this->bytes, $this->times, $byte);
    }

    /**
     * @param  non-empty-list<float>  $from
     * @param  non-empty-list<float>  $to
     */
    private static function between(array $from, array $to, float $value): float
    {
        $last = count($from) - 1;
        if ($value <= 0 || $last === 0) {
            return 0.0;
        }
        if ($value >= $from[$last]) {
            return $to[$last];
        }
        [$low, $high] = [0, $last];
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            if ($from[$middle] <= $value) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $to[$low] + (($to[$high] - $to[$low]) * ($value - $from[$low])) / ($from[$high] - $from[$low]);
    }
}
