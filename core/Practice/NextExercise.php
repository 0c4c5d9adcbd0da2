<?php

declare(strict_types=1);

namespace Tally\Practice;

use Random\Randomizer;

/** Which exercise comes next: never the trick of the last one again, and what went wrong before more often. */
final readonly class NextExercise
{
    /** The largest seed: short enough to be read out and typed. */
    public const MOST = 999_999;

    /** A trick that always went wrong is drawn so many times as often as one that never did. */
    private const MORE = 4;

    /**
     * @param  array<string, array{int, int}>  $rounds  trick → rounds, and those of them that went wrong
     * @param  Trick|null  $last  of the round before
     */
    public static function seed(Level $level, array $rounds, ?Trick $last, Randomizer $chance): int
    {
        while (true) {
            $seed = $chance->getInt(1, self::MOST);
            $trick = $level->trick($seed);
            [$all, $wrong] = $rounds[$trick->value] ?? [0, 0];
            $weight = 1 + ((self::MORE - 1) * $wrong) / max(1, $all);
            if ($trick !== $last && $chance->getInt(1, 1000 * self::MORE) <= 1000 * $weight) {
                return $seed;
            }
        }
    }
}
