<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;

/** Onto which drives, and how: all that a card can be copied by. What comes to the same is listed once. */
final readonly class Ways
{
    /**
     * @param  list<int>  $drives  of one host
     * @return list<array{Scheme, list<int>}>
     */
    public static function of(Rules $rules, array $drives): array
    {
        $ways = [];
        foreach ($rules->schemes() as $scheme) {
            $all = match ($scheme) {
                Scheme::FanOut => self::choose($drives, $rules->copies),
                Scheme::Straight => self::arrange($drives, $rules->copies),
                Scheme::Relay => self::lead($drives, $rules->copies),
            };
            foreach ($all as $one) {
                $ways[] = [$scheme, $one];
            }
        }

        return $ways;
    }

    /**
     * @param  list<int>  $drives
     * @return list<list<int>> each so many of them, whatever their order
     */
    private static function choose(array $drives, int $count): array
    {
        if ($count === 0) {
            return [[]];
        }
        $all = [];
        foreach ($drives as $i => $drive) {
            foreach (self::choose(array_slice($drives, $i + 1), $count - 1) as $rest) {
                $all[] = [$drive, ...$rest];
            }
        }

        return $all;
    }

    /**
     * @param  list<int>  $drives
     * @return list<list<int>> each so many of them in every order
     */
    private static function arrange(array $drives, int $count): array
    {
        if ($count === 0) {
            return [[]];
        }
        $all = [];
        foreach ($drives as $drive) {
            foreach (self::arrange(array_values(array_diff($drives, [$drive])), $count - 1) as $rest) {
                $all[] = [$drive, ...$rest];
            }
        }

        return $all;
    }

    /**
     * @param  list<int>  $drives
     * @return list<list<int>> each so many of them: which is first counts, the order of the others does not
     */
    private static function lead(array $drives, int $count): array
    {
        $all = [];
        foreach ($drives as $drive) {
            foreach (self::choose(array_values(array_diff($drives, [$drive])), $count - 1) as $rest) {
                $all[] = [$drive, ...$rest];
            }
        }

        return $all;
    }
}
