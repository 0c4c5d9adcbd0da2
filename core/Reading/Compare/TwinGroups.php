<?php

declare(strict_types=1);

namespace Tally\Reading\Compare;

/** Likely the same card under several stickers: groups in which every pair is equivalent, writing and reading. */
final readonly class TwinGroups
{
    /**
     * @param  list<TwinCandidate>  $candidates
     * @return list<TwinGroup> the largest first
     */
    public static function among(array $candidates): array
    {
        $chains = [];
        foreach ($candidates as $one) {
            if (! $one->isHeldBack) {
                $chains[$one->chain][] = $one;
            }
        }
        $groups = [];
        foreach ($chains as $chain => $ones) {
            foreach (self::cliques($ones) as $members) {
                $groups[] = new TwinGroup(strval($chain), $members);
            }
        }
        usort($groups, fn (TwinGroup $a, TwinGroup $b): int => count($b->members) <=> count($a->members));

        return $groups;
    }

    public static function arePair(TwinCandidate $a, TwinCandidate $b): bool
    {
        $isOtherSize = $a->capacity !== null && $b->capacity !== null && $a->capacity->count !== $b->capacity->count;

        return ! $isOtherSize &&
            $a->chain === $b->chain &&
            ! $a->isHeldBack &&
            ! $b->isHeldBack &&
            Twins::areEquivalent($a->writes, $b->writes) &&
            Twins::areEquivalent($a->reads, $b->reads);
    }

    /**
     * Each card joins the first group all of whose members are its like: no chain of small steps makes twins of two that
     * are not.
     *
     * @param  non-empty-list<TwinCandidate>  $ones
     * @return list<non-empty-list<TwinCandidate>> only those in which at least two labels meet
     */
    private static function cliques(array $ones): array
    {
        $groups = [];
        foreach ($ones as $one) {
            foreach ($groups as $i => $group) {
                if (array_filter($group, fn (TwinCandidate $member): bool => ! self::arePair($member, $one)) === []) {
                    $groups[$i][] = $one;

                    continue 2;
                }
            }
            $groups[] = [$one];
        }

        return array_values(
            array_filter(
                $groups,
                fn (array $group): bool => count(array_unique(array_map(fn (TwinCandidate $one): string => $one->label, $group))) > 1,
            ),
        );
    }
}
