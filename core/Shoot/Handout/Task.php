<?php

declare(strict_types=1);

namespace Tally\Shoot\Handout;

use Tally\Value\Alterable;

/**
 * Cards to be handed out to places: how much each place needs, and what a card of each kind gives it and costs it. Cards of one kind
 * are alike in every place. Whole numbers throughout, so that two sums are never almost the same.
 */
final readonly class Task
{
    use Alterable;

    /**
     * @param  array<int, int>  $needs  place → how much, in points
     * @param  array<int, int>  $stock  kind → cards of it
     * @param  array<int, array<int, int>>  $gives  place → kind → points; 0 where it may not go there
     * @param  array<int, array<int, int>>  $costs  place → kind → what a card costs there
     */
    public function __construct(public array $needs, public array $stock, public array $gives, public array $costs) {}

    /** As much as is met by what was handed out, and no more. */
    public function asMetBy(Handout $handout): self
    {
        $needs = $this->needs;
        foreach ($handout->taken as $place => $counts) {
            $needs[$place] = min($needs[$place], $this->given($place, $counts));
        }

        return $this->with(needs: $needs);
    }

    public function withoutCosts(): self
    {
        $none = array_map(fn (array $row): array => array_map(fn (): int => 0, $row), $this->costs);

        return $this->with(costs: $none);
    }

    /**
     * A place needs no more of a card than it needs at all.
     *
     * @return array<int, array<int, int>> place → kind → points
     */
    public function useful(): array
    {
        $useful = [];
        foreach ($this->gives as $place => $row) {
            $useful[$place] = array_map(fn (int $points): int => min($points, $this->needs[$place]), $row);
        }

        return $useful;
    }

    /** @param  array<int, array<int, int>>  $taken  place → kind → cards */
    public function missing(array $taken): int
    {
        $missing = 0;
        foreach ($taken as $place => $counts) {
            $missing += max(0, $this->needs[$place] - $this->given($place, $counts));
        }

        return $missing;
    }

    /** @param  array<int, array<int, int>>  $taken  place → kind → cards */
    public function cost(array $taken): int
    {
        $cost = 0;
        foreach ($taken as $place => $counts) {
            foreach ($counts as $kind => $count) {
                $cost += $count * $this->costs[$place][$kind];
            }
        }

        return $cost;
    }

    /** Everything in it is a multiple of this. */
    public function step(): int
    {
        $step = 0;
        foreach ($this->useful() as $place => $row) {
            foreach ([$this->needs[$place], ...$row] as $points) {
                while ($points !== 0) {
                    [$step, $points] = [$points, $step % $points];
                }
            }
        }

        return max(1, $step);
    }

    /** @param  array<int, int>  $counts  kind → cards */
    private function given(int $place, array $counts): int
    {
        $given = 0;
        foreach ($counts as $kind => $count) {
            $given += $count * $this->gives[$place][$kind];
        }

        return $given;
    }
}
