<?php

declare(strict_types=1);

namespace Tally\Shoot\Handout;

/** The cheapest cards that meet what one place needs, where each kind has a price and what is missing costs as well. */
final class OnePlace
{
    /** Looks after which the best so far will do, and the bound of a card that can be cut. */
    private const PATIENCE = 1_000;

    /** @var list<array{float, int, int, float, int}> price a point, kind, points, price, how many may be taken: the best buy first */
    private array $kinds = [];

    /** @var array<int, int> kind → cards, on the way */
    private array $way = [];

    /** @var array<int, int> kind → cards */
    private array $best = [];

    private float $least = INF;

    private int $looks = 0;

    /**
     * @param  float  $fine  of a point that is missing
     * @param  float  $slack  so much too dear the answer may be
     */
    private function __construct(private readonly float $fine, private readonly float $slack) {}

    /**
     * @param  array<int, int>  $gives  kind → points
     * @param  array<int, float>  $prices  kind → price of a card
     * @param  array<int, int>  $from  kind → cards it has at the least
     * @param  array<int, int>  $upTo  kind → and at the most
     * @param  int  $looks  counted on: what the search took
     * @return array{float, array<int, int>} no way is cheaper than this; and a way that is dearer by no more than the slack
     */
    public static function cheapest(
        int $need,
        array $gives,
        array $prices,
        array $from,
        array $upTo,
        float $fine,
        float $slack,
        int &$looks,
    ): array {
        $search = new self($fine, $slack);
        $fixed = 0.0;
        foreach ($gives as $kind => $points) {
            $fixed += $prices[$kind] * $from[$kind];
            $need -= $points * $from[$kind];
            if ($points > 0 && $upTo[$kind] > $from[$kind]) {
                $search->kinds[] = [$prices[$kind] / $points, $kind, $points, $prices[$kind], $upTo[$kind] - $from[$kind]];
            }
        }
        if ($need <= 0) {
            return [$fixed, $from];
        }
        usort($search->kinds, fn (array $a, array $b): int => [$a[0], $b[2]] <=> [$b[0], $a[2]]);
        $search->go(0, (float) $need, 0.0);
        foreach ($search->best as $kind => $count) {
            $from[$kind] += $count;
        }
        $looks += $search->looks;
        $least = $search->looks < self::PATIENCE ? $search->least - $slack : $search->atLeast(0, (float) $need, 0.0);

        return [$fixed + $least, $from];
    }

    private function go(int $at, float $need, float $cost): void
    {
        $this->looks++;
        if ($cost + $this->fine * $need < $this->least - 1e-9) {
            $this->least = $cost + $this->fine * $need;
            $this->best = $this->way;
        }
        $isEnd = $this->looks >= self::PATIENCE || $need <= 0.0 || ! isset($this->kinds[$at]);
        if ($isEnd || $this->atLeast($at, $need, $cost) >= $this->least - $this->slack) {
            return;
        }
        [, $kind, $points, $price, $room] = $this->kinds[$at];
        for ($count = min($room, (int) ceil($need / $points)); $count >= 0; $count--) {
            $this->way[$kind] = $count;
            $this->go($at + 1, max(0.0, $need - $points * $count), $cost + $price * $count);
        }
        unset($this->way[$kind]);
    }

    /** What the rest costs at the least: as if a card could be cut. */
    private function atLeast(int $at, float $need, float $cost): float
    {
        while ($need > 0.0 && isset($this->kinds[$at]) && $this->kinds[$at][0] < $this->fine) {
            [$each, , $points, , $room] = $this->kinds[$at++];
            $used = min($need, (float) $points * $room);
            $cost += $used * $each;
            $need -= $used;
        }

        return $cost + $need * $this->fine;
    }
}
