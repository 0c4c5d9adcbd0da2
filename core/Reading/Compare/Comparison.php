<?php

declare(strict_types=1);

namespace Tally\Reading\Compare;

use InvalidArgumentException;
use Tally\Reading\StudentT;
use Tally\Reading\Summary;

/**
 * The difference of two means with its 95 % confidence interval.
 *
 * Source: NIST/SEMATECH e-Handbook of Statistical Methods, 7.3.1 (two processes, unequal spread: Welch) and 7.3.1.1
 * (paired observations).
 */
final readonly class Comparison
{
    /**
     * @param  float  $difference  second less first
     * @param  float  $margin  half the 95 % confidence interval
     * @param  float  $freedom  degrees of freedom
     */
    private function __construct(
        public float $first,
        public float $second,
        public float $difference,
        public float $margin,
        public float $freedom,
        public bool $isPaired,
    ) {}

    /**
     * Two sets of readings that have nothing to do with one another.
     *
     * @param  list<float>  $first
     * @param  list<float>  $second
     * @return self|null null when one of them is a single look: it has no spread to judge by
     */
    public static function welch(array $first, array $second): ?self
    {
        if (count($first) < 2 || count($second) < 2) {
            return null;
        }
        [$a, $b] = [Summary::of($first), Summary::of($second)];
        [$va, $vb] = [($a->deviation ?? 0.0) ** 2 / $a->count, ($b->deviation ?? 0.0) ** 2 / $b->count];
        if ($va + $vb <= 0) {
            return new self($a->mean, $b->mean, $b->mean - $a->mean, 0.0, freedom: $a->count + $b->count - 2, isPaired: false);
        }
        $freedom = ($va + $vb) ** 2 / ($va ** 2 / ($a->count - 1) + $vb ** 2 / ($b->count - 1));

        return new self(
            $a->mean,
            $b->mean,
            $b->mean - $a->mean,
            StudentT::quantile(0.975, $freedom) * sqrt($va + $vb),
            freedom: $freedom,
            isPaired: false,
        );
    }

    /**
     * The same things measured twice over, such as the same cards in two readers.
     *
     * @param  list<array{float, float}>  $pairs
     * @return self|null null for a single pair
     *
     * @throws InvalidArgumentException when a reading is not above zero
     */
    public static function paired(array $pairs): ?self
    {
        if (count($pairs) < 2) {
            return null;
        }
        $of = Summary::of(array_map(fn (array $pair): float => $pair[1] - $pair[0], $pairs));
        $margin =
            ($of->deviation ?? 0.0) <= 0 ? 0.0 : (StudentT::quantile(0.975, $of->count - 1) * ($of->deviation ?? 0.0)) / sqrt($of->count);

        return new self(
            Summary::of(array_column($pairs, 0))->mean,
            Summary::of(array_column($pairs, 1))->mean,
            $of->mean,
            $margin,
            freedom: $of->count - 1,
            isPaired: true,
        );
    }

    /** Whether the difference could as well be none. */
    public function isInsideNoise(): bool
    {
        return abs($this->difference) <= $this->margin;
    }

    public function change(): Change
    {
        return new Change($this->first, $this->second);
    }
}
