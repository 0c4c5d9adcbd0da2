<?php

declare(strict_types=1);

namespace Tools\MadeUp;

use Tally\Reading\Compare\TwinGroups;
use Tally\Reading\Compare\Twins;
use Tally\Reading\Limit\LimitedBy;

/** How well limits and twins are told on made-up cards and readers whose truth is known. */
final class GridScore
{
    /** Limits told right, told wrong, and left undecided. */
    public int $right = 0;

    public int $wrong = 0;

    public int $undecided = 0;

    /** Pairs of runs called twins, and those of them whose cards are further apart than twins may be. */
    public int $pairs = 0;

    public int $false = 0;

    /** Pairs of twins on a chain that held neither back, and those of them that were found. */
    public int $twins = 0;

    public int $found = 0;

    public function add(Grid $grid): void
    {
        foreach (['write', 'read'] as $way) {
            foreach ($grid->limits($way)->rulings as $ruling) {
                match ($ruling->by) {
                    LimitedBy::Undecided => $this->undecided++,
                    $grid->truth($ruling->cell->card, $ruling->cell->reader, $way) => $this->right++,
                    default => $this->wrong++,
                };
            }
        }
        $candidates = $grid->candidates();
        foreach ($candidates as $i => $one) {
            foreach (array_slice($candidates, $i + 1) as $other) {
                $isFound = TwinGroups::arePair($one, $other);
                $isFree = $one->chain === $other->chain && ! $one->isHeldBack && ! $other->isHeldBack;
                $isTrue = $isFree && $grid->areTwins($one->card, $other->card);
                $this->pairs += $isFound ? 1 : 0;
                $this->false += $isFound && $grid->areApart($one->card, $other->card, Twins::MARGIN) ? 1 : 0;
                $this->twins += $isTrue ? 1 : 0;
                $this->found += $isTrue && $isFound ? 1 : 0;
            }
        }
    }
}
