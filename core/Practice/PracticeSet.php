<?php

declare(strict_types=1);

namespace Tally\Practice;

/** Exercises that are shared by a seed: those of a level one after the other, or one of each level. */
final readonly class PracticeSet
{
    public const MOST = 50;

    /** @param  non-empty-list<Exercise>  $exercises */
    private function __construct(public int $seed, public ?Level $level, public array $exercises) {}

    public static function seeded(int $seed, ?Level $level, int $count = 6): self
    {
        $exercises = $level === null
            ? array_map(fn (Level $one): Exercise => Exercise::seeded($one, $seed), Level::cases())
            : array_map(fn (int $more): Exercise => Exercise::seeded($level, $seed + $more), range(0, max(1, min(self::MOST, $count)) - 1));

        return new self($seed, $level, $exercises);
    }
}
