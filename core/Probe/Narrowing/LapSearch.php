<?php

declare(strict_types=1);

namespace Tally\Probe\Narrowing;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Pattern\Patch;
use Tally\Probe\EarlyCheck\Sample;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;
use Tally\Reading\Shifts;

/** Whether a medium gives back what was written elsewhere on it, at which lap, from where on, and whether one lap explains it. */
final readonly class LapSearch
{
    /** Where less than this share of what a lap foretells comes true, it is not one lap. */
    private const ONE_LAP = 0.7;

    /** How many pairs of places are asked for that, where there are as many. */
    private const PAIRS = 32;

    /** A lap found as a multiple of the true one is taken apart by these. */
    private const PRIMES = [2, 3, 5, 7, 11, 13, 17, 19, 23];

    public function __construct(private Asking $asking) {}

    /** @param  list<Sample>  $samples */
    public function of(array $samples): ?Diagnosis
    {
        $echoes = array_merge([], ...array_map(fn (Sample $sample): array => $sample->echoes(), $samples));
        if ($echoes === []) {
            return null;
        }
        $lap = 0;
        foreach ($echoes as $echo) {
            $lap = Shifts::greatestCommonDivisor($lap, abs($echo->shift() ?? 0));
        }
        $witness = $this->witness($echoes, $lap);
        if ($witness === null) {
            return null;
        }
        foreach (self::PRIMES as $prime) {
            while ($lap % $prime === 0 && intdiv($lap, $prime) >= 512 && $this->repeats($witness, intdiv($lap, $prime)) !== null) {
                $lap = intdiv($lap, $prime);
            }
        }
        $from = $this->lapBegins($witness, $lap);
        $share = $this->shareThatRepeats($from, $lap);
        if ($share >= self::ONE_LAP) {
            return Diagnosis::repeating($lap, $from);
        }
        $lost = (int) ($share * max(0, $this->asking->size() - $from - $lap));

        // A card can also have misplaced a block or two.
        return Diagnosis::isMuch($lost, $this->asking->size())
            ? Diagnosis::found(Condition::Aliases, Bytes::of($this->asking->size() - $lost), null, null, exact: false)
            : null;
    }

    /**
     * A block that is known to repeat at this distance.
     *
     * @param  list<Patch>  $echoes
     */
    private function witness(array $echoes, int $lap): ?int
    {
        foreach ([0, 32, Asking::MOST_PADDING] as $padding) {
            $this->asking->padWith($padding);
            foreach (array_slice($echoes, 0, 4) as $echo) {
                $lower = min($echo->offset, $echo->source ?? $echo->offset);
                $block = $lower - ($lower % Asking::BLOCK);
                if ($this->repeats($block, $lap) !== null) {
                    return $block;
                }
            }
        }

        return null;
    }

    /**
     * Whether a block gives back what is written so far further on, or the other way about.
     *
     * @return int|null the first address of the block that does
     */
    private function repeats(int $block, int $distance): ?int
    {
        $size = $this->asking->size();
        $there = $block + $distance - (($block + $distance) % Asking::BLOCK);
        $pair = array_values(
            array_filter([$there, $there + Asking::BLOCK], fn (int $at): bool => $at < $size && $at < $block + $distance + Asking::BLOCK),
        );
        if ($pair === []) {
            return null;
        }
        $this->asking->write([$block, ...$pair]);
        // A block longer than the lap is written over from two laps further on too, but never from there alone.
        $echoes = array_values(
            array_filter(
                $this->asking->look($block)->echoes(),
                fn (Patch $echo): bool => $echo->shift() > 0 && $echo->shift() % $distance === 0,
            ),
        );
        foreach ($echoes as $echo) {
            if ($echo->shift() === $distance) {
                return $echoes[0]->offset;
            }
        }
        foreach ($pair as $at) {
            foreach ($this->asking->look($at)->echoes() as $echo) {
                if ($echo->shift() === -$distance && $echo->source < $block + Asking::BLOCK) {
                    return max($block, (int) $echo->source);
                }
            }
        }

        return null;
    }

    /** Of places drawn evenly from all that would be written over from one lap further on, the share that is. */
    private function shareThatRepeats(int $from, int $lap): float
    {
        $first = intdiv($from + Asking::BLOCK - 1, Asking::BLOCK);
        $blocks = intdiv($this->asking->size() - $lap, Asking::BLOCK) - $first;
        $pairs = min(self::PAIRS, $blocks);
        if ($pairs <= 0) {
            return 1.0;
        }
        // Drawn, so that they are not in step with what goes by powers of two.
        $chance = new Randomizer(new Xoshiro256StarStar($this->asking->spots->imprint->run));
        $shares = [];
        for ($i = 0; $i < $pairs; $i++) {
            $block = $chance->getInt(intdiv($i * $blocks, $pairs), intdiv(($i + 1) * $blocks, $pairs) - 1);
            $shares[] = $this->echoing(Asking::BLOCK * ($first + $block), $from, $lap);
        }

        return array_sum($shares) / count($shares);
    }

    /** @return float share of a block that gives back what is written one lap further on, or the other way about */
    private function echoing(int $block, int $from, int $lap): float
    {
        $there = $block + $lap - ($lap % Asking::BLOCK);
        // On a medium whose first lap stays, both give back that.
        $first = $from + (($block - $from) % $lap);
        $first -= $first % Asking::BLOCK;
        // A lap shorter than a block shows within one.
        $pair =
            $lap < Asking::BLOCK
                ? [$block]
                : [
                    $block,
                    ...array_filter([$there, $there + Asking::BLOCK], fn (int $at): bool => $at > $block && $at < $this->asking->size()),
                ];
        $this->asking->write(array_values(array_unique([$first, $first + Asking::BLOCK, ...$pair])));
        $echoes = [];
        foreach ($pair as $at) {
            $echoes = [...$echoes, ...$this->asking->look($at)->echoes()];
        }

        return min(
            1.0,
            array_sum(array_map(fn (Patch $echo): int => $echo->length, $echoes)) /
                ($lap < Asking::BLOCK ? Asking::BLOCK - $lap : Asking::BLOCK),
        );
    }

    /** The first address that is written over from further on: on most it is the very first, on some a first part is spared. */
    private function lapBegins(int $witness, int $lap): int
    {
        $first = $this->repeats(0, $lap);
        if ($first !== null) {
            return $first;
        }
        [$spared, $repeating] = [0, $witness];
        $begins = $this->repeats($witness, $lap) ?? $witness;
        while ($repeating - $spared > Asking::BLOCK) {
            $middle = $spared + intdiv($repeating - $spared, 2 * Asking::BLOCK) * Asking::BLOCK;
            $found = $this->repeats($middle, $lap);
            if ($found === null) {
                $spared = $middle;
            } else {
                [$repeating, $begins] = [$middle, $found];
            }
        }

        return $begins;
    }
}
