<?php

declare(strict_types=1);

namespace Tally\Shoot\Handout;

/**
 * Handing out as if cards could be cut, a linear program, by the simplex method (Dantzig’s rule): the least cost and fines, where each
 * place gets what it needs or pays for what is missing, and no kind goes further than it does. Says what one card more of each kind
 * would be worth (its dual values), and which cards go where whole.
 */
final class AsIfCut
{
    private const MOST_STEPS = 2000;

    private const LEFT = 1_000_000;

    /** @var array<int, array<int, float>> a row for each thing that is used; a column for each that is not, the last how much */
    private array $rows = [];

    /** @var array<int, float> column → what using it would add to the cost */
    private array $adds = [];

    /** @var array<int, int> column → what is not used: a way, by its number; or cards that are left, from LEFT on; −1 for others */
    private array $out = [];

    /** @var array<int, int> row → what it says how much of */
    private array $in = [];

    /** @var array<int, array{int, int}> number of a way → place and kind */
    private array $ways = [];

    /** @param  float  $fine  of a point that is missing */
    public static function of(Task $task, float $fine): self
    {
        $program = new self($task, $fine);
        for ($step = 0; $step < self::MOST_STEPS && $program->improves(); $step++);

        return $program;
    }

    /** @return array<int, float> kind → what one card more would save */
    public function worth(): array
    {
        $worth = array_map(fn (): float => 0.0, $this->task->stock);
        foreach ($this->out as $column => $name) {
            if (isset($worth[$name - self::LEFT])) {
                $worth[$name - self::LEFT] = max(0.0, $this->adds[$column]);
            }
        }

        return $worth;
    }

    /** @return array<int, array<int, int>> place → kind → whole cards */
    public function whole(): array
    {
        $whole = array_map(fn (array $row): array => array_map(fn (): int => 0, $row), $this->task->gives);
        foreach ($this->in as $row => $name) {
            if (isset($this->ways[$name])) {
                [$place, $kind] = $this->ways[$name];
                $whole[$place][$kind] = (int) floor($this->rows[$row][count($this->out)] + 1e-6);
            }
        }

        return $whole;
    }

    private function __construct(private readonly Task $task, float $fine)
    {
        $useful = $task->useful();
        $ways = [];
        foreach ($useful as $place => $row) {
            foreach (array_filter($row, fn (int $points): bool => $points > 0) as $kind => $points) {
                $ways[] = [$place, $kind, $points];
                $this->ways[] = [$place, $kind];
            }
        }
        $places = array_keys($task->needs);
        $row = array_flip($places);
        $end = count($ways) + count($places);
        // At first nothing is handed out: all is missing, all cards are left.
        foreach ([...array_values($task->needs), ...array_values($task->stock)] as $there) {
            $this->rows[] = [...array_fill(0, $end, 0.0), (float) $there];
        }
        $left = array_map(fn (int $kind): int => self::LEFT + $kind, array_keys($task->stock));
        $this->in = [...array_fill(0, count($places), -1), ...$left];
        $kindRow = array_flip(array_keys($task->stock));
        foreach ($ways as $column => [$place, $kind, $points]) {
            $this->rows[$row[$place]][$column] = (float) $points;
            $this->rows[count($places) + $kindRow[$kind]][$column] = 1.0;
            $this->adds[$column] = $task->costs[$place][$kind] - $fine * $points;
        }
        foreach ($places as $at => $place) {
            $this->rows[$at][count($ways) + $at] = -1.0;
            $this->adds[] = $fine;
        }
        $this->adds[] = 0.0;
        $this->out = [...array_keys($ways), ...array_fill(0, count($places), -1)];
    }

    /** One step of the simplex method; false where no change would make it cheaper. */
    private function improves(): bool
    {
        $end = count($this->out);
        $in = null;
        foreach (array_keys($this->out) as $column) {
            if ($this->adds[$column] < -1e-7 && ($in === null || $this->adds[$column] < $this->adds[$in])) {
                $in = $column;
            }
        }
        $out = null;
        $least = INF;
        foreach ($this->rows as $at => $row) {
            if ($in !== null && $row[$in] > 1e-9 && $least - 1e-12 > $row[$end] / $row[$in]) {
                [$out, $least] = [$at, $row[$end] / $row[$in]];
            }
        }
        if ($in === null || $out === null) {
            return false;
        }
        $pivot = $this->rows[$out][$in];
        $this->rows[$out][$in] = 1.0;
        $row = array_map(fn (float $value): float => $value / $pivot, $this->rows[$out]);
        $full = array_filter($row, fn (float $value): bool => $value !== 0.0);
        foreach ($this->rows as $at => $other) {
            $this->rows[$at] = $at === $out ? $row : self::less($other, $in, $full);
        }
        $this->adds = self::less($this->adds, $in, $full);
        [$this->out[$in], $this->in[$out]] = [$this->in[$out], $this->out[$in]];

        return true;
    }

    /**
     * @param  array<int, float>  $row
     * @param  array<int, float>  $full  column → value, those that are not nothing
     * @return array<int, float>
     */
    private static function less(array $row, int $in, array $full): array
    {
        $times = $row[$in];
        if ($times !== 0.0) {
            $row[$in] = 0.0;
            foreach ($full as $column => $value) {
                $row[$column] -= $times * $value;
            }
        }

        return $row;
    }
}
