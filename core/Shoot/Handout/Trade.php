<?php

declare(strict_types=1);

namespace Tally\Shoot\Handout;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Misses less by trading: a card goes to another place or back into the box, or two cards change places. Simulated annealing: at
 * first what is worse is taken as well, later less and less. The same way always gives the same result.
 */
final class Trade
{
    private const SEED = 1;

    private const STEPS = 15_000;

    /** Points; at first a twentieth of what is missing. */
    private const COLD = 1e-4;

    /** Where cards are that no place has. */
    private const BOX = -1;

    private readonly Randomizer $chance;

    /** @var list<int> card → kind */
    private array $kinds = [];

    /** @var array<int, int> card → place, or BOX */
    private array $at = [];

    /** @var array<int, int> place → points still missing; less than none where it has more than it needs */
    private array $short;

    /** @param  array<int, array<int, int>>  $taken  place → kind → cards */
    private function __construct(private readonly Task $task, array $taken)
    {
        $this->chance = new Randomizer(new Mt19937(self::SEED));
        $this->short = $task->needs;
        foreach ($task->stock as $kind => $left) {
            foreach ($taken as $place => $counts) {
                array_push($this->at, ...array_fill(0, $counts[$kind], $place));
                $this->short[$place] -= $counts[$kind] * $task->gives[$place][$kind];
                $left -= $counts[$kind];
            }
            array_push($this->at, ...array_fill(0, $left, self::BOX));
            array_push($this->kinds, ...array_fill(0, $task->stock[$kind], $kind));
        }
    }

    /**
     * @param  array<int, array<int, int>>  $taken  place → kind → cards
     * @return array<int, array<int, int>> place → kind → cards, at least as good
     */
    public static function better(Task $task, array $taken): array
    {
        $trade = new self($task, $taken);

        return $trade->kinds === [] ? $taken : $trade->run($taken);
    }

    /**
     * @param  array<int, array<int, int>>  $taken
     * @return array<int, array<int, int>>
     */
    private function run(array $taken): array
    {
        $missing = $this->task->missing($taken);
        $best = $missing;
        $found = $this->at;
        $hot = max(1.0, $missing * 0.05);
        $last = count($this->kinds) - 1;
        $places = [...array_keys($this->task->needs), self::BOX];
        for ($step = 0; $step < self::STEPS; $step++) {
            $heat = $hot * (self::COLD / $hot) ** ($step / self::STEPS);
            $card = $this->chance->getInt(0, $last);
            $other = $this->chance->getInt(0, $last);
            $swaps = $this->chance->getInt(0, 1) === 1;
            $to = $swaps ? $this->at[$other] : $places[$this->chance->getInt(0, count($places) - 1)];
            $from = $this->at[$card];
            if ($to === $from || ! $this->mayGo($card, $to) || ($swaps && ! $this->mayGo($other, $from))) {
                continue;
            }
            $change = $this->move($card, $to) + ($swaps ? $this->move($other, $from) : 0);
            if ($change > 0 && $this->chance->getInt(0, 999_999) >= 1e6 * exp(-$change / $heat)) {
                $this->move($card, $from);
                if ($swaps) {
                    $this->move($other, $to);
                }

                continue;
            }
            $missing += $change;
            if ($missing < $best) {
                [$best, $found] = [$missing, $this->at];
            }
        }
        $counts = array_map(fn (array $row): array => array_map(fn (): int => 0, $row), $this->task->gives);
        foreach ($found as $card => $place) {
            if ($place !== self::BOX) {
                $counts[$place][$this->kinds[$card]]++;
            }
        }

        return $counts;
    }

    private function mayGo(int $card, int $place): bool
    {
        return $place === self::BOX || $this->task->gives[$place][$this->kinds[$card]] > 0;
    }

    /** @return int points that are missing more */
    private function move(int $card, int $to): int
    {
        [$kind, $from] = [$this->kinds[$card], $this->at[$card]];
        $change = 0;
        foreach ([[$from, -1], [$to, 1]] as [$place, $sign]) {
            if ($place !== self::BOX) {
                $before = max(0, $this->short[$place]);
                $this->short[$place] -= $sign * $this->task->gives[$place][$kind];
                $change += max(0, $this->short[$place]) - $before;
            }
        }
        $this->at[$card] = $to;

        return $change;
    }
}
