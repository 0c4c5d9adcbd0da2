<?php

declare(strict_types=1);

namespace Tally\Reading\Limit;

use Tally\Reading\Compare\Comparison;
use Tally\Reading\Summary;

/** A cell beside the others: where its card was clearly faster, and with which card its reader was. */
final class Sighting
{
    /** The fastest other reader in which the card was clearly faster than here. */
    public ?self $elsewhere = null;

    /** The fastest other card with which the reader was clearly faster than here. */
    public ?self $withOther = null;

    public readonly Summary $summary;

    public function __construct(public readonly Cell $cell)
    {
        $this->summary = Summary::of($cell->rates);
    }

    /**
     * Each cell is only held against those that share its card or its reader.
     *
     * @param  list<Cell>  $cells
     * @return list<self>
     */
    public static function of(array $cells): array
    {
        $all = array_map(fn (Cell $cell): self => new self($cell), $cells);
        [$byCard, $byReader] = [[], []];
        foreach ($all as $one) {
            $byCard[$one->cell->card][] = $one;
            $byReader[$one->cell->reader][] = $one;
        }
        foreach ($all as $one) {
            $one->elsewhere = $one->fastestAbove($byCard[$one->cell->card]);
            $one->withOther = $one->fastestAbove($byReader[$one->cell->reader]);
        }

        return $all;
    }

    public function isAbout(self $other): bool
    {
        return abs($other->summary->mean / $this->summary->mean - 1) <= Limits::SAME;
    }

    /** @param  list<self>  $others */
    private function fastestAbove(array $others): ?self
    {
        $fastest = null;
        foreach ($others as $other) {
            if (
                $other !== $this &&
                ($fastest === null || $fastest->summary->mean < $other->summary->mean) &&
                $other->isClearlyAbove($this)
            ) {
                $fastest = $other;
            }
        }

        return $fastest;
    }

    private function isClearlyAbove(self $than): bool
    {
        $ratio = $this->summary->mean / $than->summary->mean;
        if ($ratio <= 1 + Limits::SAME) {
            return false;
        }
        $comparison = Comparison::welch($than->cell->rates, $this->cell->rates);

        // A single look has no spread: then only a difference that no noise makes counts.
        return $comparison === null ? $ratio > 1.25 : ! $comparison->isInsideNoise();
    }
}
