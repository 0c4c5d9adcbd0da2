<?php

declare(strict_types=1);

namespace Tally\Shoot\Handout;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Misses less by trading: a card goes to another place or back into the box, or changes places with one or two of another place,
 * as two of half the size do what one does. Simulated annealing, some times over: at first what is worse is taken as well, later
 * less and less. The same way always gives the same result.
 */
final class Trade
{
    private const SEED = 1;

    private const TIMES = 5;

    private const STEPS = 12_000;

    /** Of what a card gives on average: what is worse by so much is taken now and then at first. */
    private const HOT = 0.25;

    /** Of that, at the end. */
    private const COOLED = 0.01;

    /** Where cards are that no place has. */
    private const BOX = -1;

    private readonly Randomizer $chance;

    /** @var list<int> card → kind */
    private array $kinds = [];

    /** @var array<int, int> card → place, or BOX */
    private array $at = [];

    /** @var array<int, int> place or BOX → points still missing; less than none where it has more than it needs */
    private array $short;

    /** @var array<int, array<int, int>> kind → place or BOX → points */
    private array $gives = [];

    private int $missing;

    private int $best;

    /** @var array<int, int> card → place, or BOX, where the least is missing */
    private array $found;

    /** @param  array<int, array<int, int>>  $taken  place → kind → cards */
    private function __construct(private readonly Task $task, array $taken)
    {
        $this->chance = new Randomizer(new Mt19937(self::SEED));
        $this->short = [...$task->needs, self::BOX => 0];
        foreach ($task->stock as $kind => $left) {
            $this->gives[$kind] = [...array_column($task->gives, $kind), self::BOX => 0];
            foreach ($taken as $place => $counts) {
                array_push($this->at, ...array_fill(0, $counts[$kind], $place));
                $this->short[$place] -= $counts[$kind] * $task->gives[$place][$kind];
                $left -= $counts[$kind];
            }
            array_push($this->at, ...array_fill(0, $left, self::BOX));
            array_push($this->kinds, ...array_fill(0, $task->stock[$kind], $kind));
        }
        $this->missing = $this->best = $task->missing($taken);
        $this->found = $this->at;
    }

    /**
     * @param  array<int, array<int, int>>  $taken  place → kind → cards
     * @return array<int, array<int, int>> place → kind → cards, at least as good
     */
    public static function better(Task $task, array $taken): array
    {
        $trade = new self($task, $taken);
        $hot = self::HOT * $trade->average();
        for ($time = 0; $time < self::TIMES && $trade->kinds !== []; $time++) {
            $trade->cool($hot);
        }

        return $trade->counts();
    }

    private function cool(float $hot): void
    {
        [$cards, $places] = [count($this->kinds), count($this->task->needs)];
        for ($step = 0; $step < self::STEPS; $step++) {
            // One throw for all three: throwing takes longer than all else here.
            $dice = $this->chance->getInt(0, PHP_INT_MAX);
            $card = $dice % $cards;
            $many = intdiv($dice, $cards) % 3;
            $dice = intdiv($dice, 3 * $cards);
            $others = $many === 0 ? [] : $this->together($dice % $cards, $many);
            $from = $this->at[$card];
            $to = $many === 0 ? $dice % ($places + 1) - 1 : $this->at[$others[0]];
            $gives = $this->gives[$this->kinds[$card]];
            if ($to === $from || ($gives[$to] === 0 && $to !== self::BOX)) {
                continue;
            }
            $shortFrom = $this->short[$from] + $gives[$from];
            $shortTo = $this->short[$to] - $gives[$to];
            foreach ($others as $other) {
                $back = $this->gives[$this->kinds[$other]];
                if ($back[$from] === 0 && $from !== self::BOX) {
                    continue 2;
                }
                $shortFrom -= $back[$from];
                $shortTo += $back[$to];
            }
            $change = max(0, $shortFrom) + max(0, $shortTo) - max(0, $this->short[$from]) - max(0, $this->short[$to]);
            if ($change > 0 && ! $this->accepts($change, $hot * self::COOLED ** ($step / self::STEPS))) {
                continue;
            }
            $this->short[$from] = $shortFrom;
            $this->short[$to] = $shortTo;
            $this->at[$card] = $to;
            foreach ($others as $other) {
                $this->at[$other] = $from;
            }
            $this->missing += $change;
            if ($this->missing < $this->best) {
                [$this->best, $this->found] = [$this->missing, $this->at];
            }
        }
    }

    /** @return non-empty-list<int> the card, and if two are asked for the next one in the same place */
    private function together(int $card, int $many): array
    {
        for ($next = $card + 1; $many === 2 && isset($this->at[$next]); $next++) {
            if ($this->at[$next] === $this->at[$card]) {
                return [$card, $next];
            }
        }

        return [$card];
    }

    private function accepts(int $worse, float $heat): bool
    {
        return $worse < 12 * $heat && $this->chance->getInt(0, 999_999) < 1e6 * exp(-$worse / $heat);
    }

    /** What a card gives on average, where it may go. */
    private function average(): float
    {
        $given = array_filter(array_merge(...$this->task->useful()), fn (int $points): bool => $points > 0);

        return array_sum($given) / max(1, count($given));
    }

    /** @return array<int, array<int, int>> place → kind → cards */
    private function counts(): array
    {
        $counts = array_map(fn (array $row): array => array_map(fn (): int => 0, $row), $this->task->gives);
        foreach ($this->found as $card => $place) {
            if ($place !== self::BOX) {
                $counts[$place][$this->kinds[$card]]++;
            }
        }

        return $counts;
    }
}
