<?php

declare(strict_types=1);

namespace Tally\Reading;

use Brick\Math\BigInteger;
use InvalidArgumentException;
use Tally\Value\OwnJson;

/** How far away the data of echoes belonged, and how many bytes came from each distance. */
final class Shifts implements OwnJson
{
    /** More distances than this are no laps of anything. */
    private const MOST = 4096;

    /** Distances that carry less than this share of all echoes are strays: a card can also have misplaced a block. */
    private const STRAY = 0.001;

    /** @param  array<int, int>  $bytes  by distance */
    public function __construct(private array $bytes = []) {}

    public function add(int $shift, int $bytes): void
    {
        if (isset($this->bytes[$shift]) || count($this->bytes) < self::MOST) {
            $this->bytes[$shift] = ($this->bytes[$shift] ?? 0) + $bytes;
        }
    }

    /** The greatest common divisor of all distances that carry weight; null without echoes. */
    public function lap(): ?int
    {
        $least = self::STRAY * array_sum($this->bytes);
        $lap = 0;
        foreach ($this->bytes as $shift => $bytes) {
            $lap = $bytes < $least ? $lap : self::greatestCommonDivisor($lap, abs($shift));
        }

        return $lap === 0 ? null : $lap;
    }

    /** Bytes that came from a whole number of laps away. */
    public function inLaps(): int
    {
        $lap = $this->lap();

        if ($lap === null) {
            return 0;
        }
        $whole = array_filter($this->bytes, fn (int $shift): bool => $shift % $lap === 0, ARRAY_FILTER_USE_KEY);

        return array_sum($whole);
    }

    public static function fromJson(mixed $given): static
    {
        $bytes = [];
        foreach (is_array($given) ? $given : [] as $shift => $count) {
            $bytes[] = is_int($shift) && is_int($count) ? [$shift, $count] : throw new InvalidArgumentException('give bytes by distance.');
        }

        return new self(array_column($bytes, 1, 0));
    }

    /** @return array<int, int> */
    public function jsonSerialize(): array
    {
        return $this->bytes;
    }

    /** Of two numbers of bytes. */
    public static function greatestCommonDivisor(int $a, int $b): int
    {
        return BigInteger::of($a)->gcd($b)->toInt();
    }
}
