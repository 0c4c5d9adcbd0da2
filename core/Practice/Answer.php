<?php

declare(strict_types=1);

namespace Tally\Practice;

/** What all evidence says of an exercise, and the shortest way to know it. */
final readonly class Answer
{
    /** No exercise needs more. */
    private const MOST = 3;

    /** @param  list<Move>  $way  the moves that take the least time and say the same as all of them */
    private function __construct(public Called $called, public array $way) {}

    public static function of(Exercise $exercise): self
    {
        $all = Called::after($exercise, array_values($exercise->moves));
        foreach (self::ways(array_values($exercise->moves)) as $way) {
            // Whoever does not settle size and limit is not asked for the verdict, which takes longest: most ways end here.
            $evidence = $exercise->evidence($way);
            $mayBe = Called::heldBy($exercise, $evidence) === $all->holds &&
                ($all->capacity === null || Called::isSame(Called::keeps($evidence), $all->capacity));
            if ($mayBe && Called::after($exercise, $way)->says($all)) {
                return new self($all, $way);
            }
        }

        return new self($all, array_values($exercise->moves));
    }

    public function seconds(): int
    {
        return self::time($this->way);
    }

    /** @param  list<Move>  $moves */
    public static function time(array $moves): int
    {
        return array_sum(array_map(fn (Move $move): int => $move->seconds, $moves));
    }

    /**
     * @param  list<Move>  $moves
     * @return list<list<Move>> those that are over first, first
     */
    private static function ways(array $moves): array
    {
        $ways = [[]];
        foreach ($moves as $move) {
            foreach ($ways as $way) {
                if (count($way) < self::MOST) {
                    $ways[] = [...$way, $move];
                }
            }
        }
        usort($ways, fn (array $a, array $b): int => [self::time($a), count($a)] <=> [self::time($b), count($b)]);

        return $ways;
    }
}
