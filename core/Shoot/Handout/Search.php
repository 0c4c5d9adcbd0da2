<?php

declare(strict_types=1);

namespace Tally\Shoot\Handout;

/**
 * Hands cards out so that the least is missing, and of such ways the cheapest: branch and bound. The bound lets each place buy for
 * itself, at a price for each kind that rises while more of it is wanted than there is (Lagrangian relaxation, subgradient steps of
 * Polyak’s length); prices start from a linear program. What is found is said to be the best only where that is proven.
 */
final class Search
{
    /** Looks at one card in one place, for each of the two questions. Some hundredths of a second on a plain machine. */
    public const LOOKS = 40_000;

    private const FIRST_ROUNDS = 80;

    private const ROUNDS = 12;

    /** What must not be missing. */
    private const DEAR = 1e4;

    /** @var array<int, array<int, int>> place → kind → cards */
    private array $best = [];

    private int $value = PHP_INT_MAX;

    private int $looks = 0;

    /** @var array<int, array{mixed, array{float, array<int, int>}}> place → what was last asked of it, and its answer */
    private array $known = [];

    /** @var array<int, array<int, int>> */
    private readonly array $gives;

    private readonly int $step;

    /** @param  bool  $mayMiss  whether the question is how little is missing; else nothing may be, and it is what the cards cost */
    private function __construct(private readonly Task $task, private readonly bool $mayMiss, private readonly int $most)
    {
        $this->gives = $task->useful();
        $this->step = $mayMiss ? $task->step() : 1;
    }

    /**
     * Where several ways leave the same missing, the one that was found first says where it is missing.
     *
     * @return array{Handout, Handout} by what is missing, and by what it costs; the second is what to do
     */
    public static function best(Task $task, int $looks = self::LOOKS): array
    {
        $first = (new self($task->withoutCosts(), true, $looks))->run();
        $met = $task->asMetBy($first);

        return [$first, (new self($met, false, $looks))->run($first->taken)];
    }

    /** @param  array<int, array<int, int>>  $known  a way that will do */
    private function run(array $known = []): Handout
    {
        $none = array_map(fn (array $row): array => array_map(fn (): int => 0, $row), $this->gives);
        $this->offer($known === [] ? $none : $known);
        $upTo = [];
        foreach ($this->gives as $place => $row) {
            $upTo[$place] = [];
            foreach ($row as $kind => $points) {
                $enough = $points === 0 ? 0 : intdiv($this->task->needs[$place] - 1, $points) + 1;
                $upTo[$place][$kind] = min($this->task->stock[$kind], $enough);
            }
        }
        $cut = AsIfCut::of($this->task, $this->fine());
        $prices = $cut->worth();
        foreach (array_keys($this->gives) as $later) {
            $this->offer($this->oneByOne($cut->whole(), $upTo, $prices, $this->order($later), fine: $this->fine()));
        }
        $open = [[$none, $upTo, $prices, 0]];
        $rounds = self::FIRST_ROUNDS;
        while ($open !== [] && $this->looks < $this->most) {
            [$from, $most, $prices] = array_pop($open);
            array_push($open, ...$this->branches($from, $most, $prices, $rounds));
            if ($rounds === self::FIRST_ROUNDS && $open !== []) {
                $this->mayMiss ? $this->offer(Trade::better($this->task, $this->best)) : $this->chooseAnew($none, $upTo);
            }
            $rounds = self::ROUNDS;
        }

        return new Handout($this->best, $this->value, min([$this->value, ...array_column($open, 3)]));
    }

    /**
     * Two places at a time give back what they have and choose anew, as long as that helps.
     *
     * @param  array<int, array<int, int>>  $none
     * @param  array<int, array<int, int>>  $upTo
     */
    private function chooseAnew(array $none, array $upTo): void
    {
        $prices = array_map(fn (): float => 0.0, $this->task->stock);
        do {
            $before = $this->value;
            foreach (array_keys($none) as $one) {
                foreach (array_diff(array_keys($none), [$one]) as $other) {
                    $from = [$one => $none[$one], $other => $none[$other]] + $this->best;
                    $this->offer($this->oneByOne($from, $upTo, $prices, [$one, $other], fine: self::DEAR));
                }
            }
        } while ($this->value < $before && $this->looks < $this->most);
    }

    private function fine(): float
    {
        return $this->mayMiss ? 1.0 : self::DEAR;
    }

    /** @param  array<int, array<int, int>>  $taken */
    private function offer(array $taken): void
    {
        if ($this->mayMiss || $this->task->missing($taken) === 0) {
            $value = $this->mayMiss ? $this->task->missing($taken) : $this->task->cost($taken);
            if ($value < $this->value) {
                [$this->best, $this->value] = [$taken, $value];
            }
        }
    }

    /**
     * @param  array<int, array<int, int>>  $from
     * @param  array<int, array<int, int>>  $upTo
     * @param  array<int, float>  $prices
     * @return list<array{array<int, array<int, int>>, array<int, array<int, int>>, array<int, float>, int}> to be looked at, the last first
     */
    private function branches(array $from, array $upTo, array $prices, int $rounds): array
    {
        foreach ($this->task->stock as $kind => $stock) {
            $left = $stock - array_sum(array_column($from, $kind));
            foreach ($upTo as $place => $row) {
                $upTo[$place][$kind] = min($row[$kind], $from[$place][$kind] + $left);
            }
        }
        $pace = 1.0;
        $bound = -INF;
        $stuck = 0;
        for ($round = 0; $round < $rounds && $pace > 0.02; $round++) {
            [$least, $wanted, $over] = $this->relaxed($from, $upTo, $prices);
            if (max([0, ...$over]) === 0) {
                $this->offer($wanted);
            } elseif ($round % 3 === 0) {
                $fine = $round % 2 === 0 ? self::DEAR : $this->fine();
                $this->offer($this->oneByOne($from, $upTo, $prices, $this->order(intdiv($round, 6)), fine: $fine));
            }
            if ($this->roundUp($least) >= $this->value) {
                return [];
            }
            $stuck = $least > $bound + 1e-7 ? 0 : $stuck + 1;
            $bound = max($bound, $least);
            if ($stuck > 3) {
                [$pace, $stuck] = [$pace / 2, 0];
            }
            $square = 0;
            foreach ($over as $kind => $many) {
                $square += $many > 0 || $prices[$kind] > 0 ? $many * $many : 0;
            }
            if ($square === 0) {
                break;
            }
            $last = $prices;
            foreach ($over as $kind => $many) {
                $prices[$kind] = max(0.0, $prices[$kind] + ($pace * max(0.5, $this->value - $least) / $square) * $many);
            }
        }
        if (! isset($wanted, $over)) {
            return [];
        }
        $at = $this->split($from, $upTo, $wanted, $over);
        if ($at === null) {
            return [];
        }
        [$place, $kind, $count] = $at;
        $least = $this->roundUp($bound);
        $more = $from;
        $more[$place][$kind] = $count;
        $fewer = $upTo;
        $fewer[$place][$kind] = $count - 1;
        $branches = [[$from, $fewer, $last ?? $prices, $least]];
        if (array_sum(array_column($more, $kind)) <= $this->task->stock[$kind]) {
            $branches[] = [$more, $upTo, $last ?? $prices, $least];
        }

        return $branches;
    }

    /** Every value is a multiple of the step. */
    private function roundUp(float $least): int
    {
        return max(0, (int) ceil($least / $this->step - 1e-6) * $this->step);
    }

    /**
     * Each place for itself, as if the others took nothing.
     *
     * @param  array<int, array<int, int>>  $from
     * @param  array<int, array<int, int>>  $upTo
     * @param  array<int, float>  $prices
     * @return array{float, array<int, array<int, int>>, array<int, int>} no way comes to less; what places want; kind → cards too many
     */
    private function relaxed(array $from, array $upTo, array $prices): array
    {
        $least = 0.0;
        $wanted = [];
        // A round is work of its own, however little is looked at in it.
        $this->looks += intdiv(count($this->gives) * count($prices), 2);
        $over = array_map(fn (int $stock): int => -$stock, $this->task->stock);
        foreach ($this->gives as $place => $row) {
            $own = $prices;
            foreach ($this->task->costs[$place] as $kind => $cost) {
                $own[$kind] += $cost;
            }
            $asked = [$own, $from[$place], $upTo[$place]];
            if (! isset($this->known[$place]) || $this->known[$place][0] !== $asked) {
                $this->known[$place] = [$asked, $this->cheapest($place, ...$asked)];
            }
            [$price, $wanted[$place]] = $this->known[$place][1];
            $least += $price;
            foreach ($wanted[$place] as $kind => $count) {
                $over[$kind] += $count;
            }
        }
        foreach ($prices as $kind => $price) {
            $least -= $price * $this->task->stock[$kind];
        }

        return [$least, $wanted, $over];
    }

    /**
     * One place after the other takes the cheapest that the ones before it left.
     *
     * @param  array<int, array<int, int>>  $from
     * @param  array<int, array<int, int>>  $upTo
     * @param  array<int, float>  $prices
     * @param  list<int>  $order  of places
     * @param  float  $fine  of a point that is missing: where it is as dear as it is, a card may be worth more elsewhere
     * @return array<int, array<int, int>>
     */
    private function oneByOne(array $from, array $upTo, array $prices, array $order, float $fine): array
    {
        $left = [];
        foreach ($this->task->stock as $kind => $stock) {
            $left[$kind] = $stock - array_sum(array_column($from, $kind));
        }
        $taken = $from;
        foreach ($order as $place) {
            $own = $most = [];
            foreach ($left as $kind => $many) {
                // A little, so that no card is taken for nothing.
                $own[$kind] = $prices[$kind] + $this->task->costs[$place][$kind] + 1e-3;
                $most[$kind] = min($upTo[$place][$kind], $from[$place][$kind] + $many);
            }
            [, $taken[$place]] = $this->cheapest($place, $own, $from[$place], $most, fine: $fine);
            foreach ($taken[$place] as $kind => $count) {
                $left[$kind] -= $count - $from[$place][$kind];
            }
        }

        return $taken;
    }

    /** @return list<int> places, those first that can be met least easily; or so many of them after the others */
    private function order(int $later): array
    {
        $ease = [];
        foreach ($this->gives as $place => $row) {
            $ease[$place] = 0;
            foreach ($row as $kind => $points) {
                $ease[$place] += ($points * $this->task->stock[$kind]) / max(1, $this->task->needs[$place]);
            }
        }
        asort($ease);
        $order = array_keys($ease);
        $later %= count($order);

        return [...array_slice($order, $later), ...array_slice($order, 0, $later)];
    }

    /**
     * @param  array<int, float>  $prices
     * @param  array<int, int>  $from
     * @param  array<int, int>  $upTo
     * @return array{float, array<int, int>}
     */
    private function cheapest(int $place, array $prices, array $from, array $upTo, ?float $fine = null): array
    {
        return OnePlace::cheapest(
            $this->task->needs[$place],
            $this->gives[$place],
            $prices,
            $from,
            upTo: $upTo,
            fine: $fine ?? $this->fine(),
            slack: 0.02 * $this->step,
            looks: $this->looks,
        );
    }

    /**
     * Where to part the ways: at the kind that is most wanted, in the place that wants most of it.
     *
     * @param  array<int, array<int, int>>  $from
     * @param  array<int, array<int, int>>  $upTo
     * @param  array<int, array<int, int>>  $wanted
     * @param  array<int, int>  $over
     * @return array{int, int, int}|null place, kind, and the count: this many or more, or fewer
     */
    private function split(array $from, array $upTo, array $wanted, array $over): ?array
    {
        arsort($over);
        $best = null;
        foreach ($over as $kind => $many) {
            foreach ($wanted as $place => $counts) {
                if ($upTo[$place][$kind] === $from[$place][$kind]) {
                    continue;
                }
                $count = min(max($counts[$kind], $from[$place][$kind] + 1), $upTo[$place][$kind]);
                if ($many <= 0) {
                    return $best ?? [$place, $kind, $count];
                }
                $isMore = $counts[$kind] > $from[$place][$kind] && ($best === null || $count > $best[2]);
                $best = $isMore ? [$place, $kind, $count] : $best;
            }
            if ($best !== null) {
                return $best;
            }
        }

        return $best;
    }
}
