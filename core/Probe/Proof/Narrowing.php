<?php

declare(strict_types=1);

namespace Tally\Probe\Proof;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Device\Fault\MediumGone;
use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Imprint;
use Tally\Pattern\Patch;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;

/**
 * From a few places that came back wrong to what the medium is: whether it starts over and at which lap, or where its
 * memory ends. It writes and reads some dozens of blocks more, whatever the size.
 *
 * A medium may keep what it was last given in a cache and answer from there. So with every question a place that is known
 * to be bad is asked again; if that one suddenly holds, other places are written until it does not.
 */
final class Narrowing
{
    private const BLOCK = Imprint::BLOCK;

    /** How many places are asked in one go. */
    private const AT_ONCE = 16;

    /** Where less than this share of what a lap foretells comes true, it is not one lap. */
    private const ONE_LAP = 0.7;

    /** How many pairs of places are asked for that. */
    private const PAIRS = 32;

    /** From this share of bad places on, nothing holds. */
    private const NOTHING = 0.75;

    /** A lap found as a multiple of the true one is taken apart by these. */
    private const PRIMES = [2, 3, 5, 7, 11, 13, 17, 19, 23];

    /** The most that is written to push a cache aside. */
    private const MOST_PADDING = 512;

    /** Blocks that are written besides, so that a cache forgets. */
    private int $padding = 0;

    public function __construct(private readonly Spots $spots) {}

    /**
     * @param  list<Sample>  $samples  places that were written and read back, some of which came back wrong
     *
     * @throws MediumGone
     */
    public function of(array $samples): Diagnosis
    {
        usort($samples, fn (Sample $a, Sample $b): int => $a->offset() <=> $b->offset());

        return $this->lap($samples) ?? $this->end($samples) ?? $this->scattered($samples);
    }

    /** @param  list<Sample>  $samples */
    private function lap(array $samples): ?Diagnosis
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

        return $share < self::ONE_LAP
            ? Diagnosis::found(Condition::Aliases, Bytes::of((int) ($this->size() - $share * max(0, $this->size() - $from - $lap))), null, null, false)
            : Diagnosis::repeating($lap, $from);
    }

    /**
     * A block that is known to repeat at this distance.
     *
     * @param  list<Patch>  $echoes
     */
    private function witness(array $echoes, int $lap): ?int
    {
        foreach ([0, 32, self::MOST_PADDING] as $this->padding) {
            foreach (array_slice($echoes, 0, 4) as $echo) {
                $lower = min($echo->offset, $echo->source ?? $echo->offset);
                $block = $lower - $lower % self::BLOCK;
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
        $size = $this->size();
        $there = $block + $distance - ($block + $distance) % self::BLOCK;
        $pair = array_values(array_filter([$there, $there + self::BLOCK], fn (int $at): bool => $at < $size && $at < $block + $distance + self::BLOCK));
        if ($pair === []) {
            return null;
        }
        $this->spots->write([$block, ...$pair], self::BLOCK);
        $this->pad([$block, ...$pair]);
        foreach ((new Sample($this->spots->look($block, self::BLOCK)))->echoes() as $echo) {
            if ($echo->shift() === $distance) {
                return $echo->offset;
            }
        }
        foreach ($pair as $at) {
            foreach ((new Sample($this->spots->look($at, self::BLOCK)))->echoes() as $echo) {
                if ($echo->shift() === -$distance && $echo->source < $block + self::BLOCK) {
                    return max($block, (int) $echo->source);
                }
            }
        }

        return null;
    }

    /** Of places drawn evenly from all that would be written over from one lap further on, the share that is. */
    private function shareThatRepeats(int $from, int $lap): float
    {
        $first = intdiv($from + self::BLOCK - 1, self::BLOCK);
        $blocks = intdiv($this->size() - $lap, self::BLOCK) - $first;
        // So small a part of the medium says nothing of the rest.
        if ($blocks < self::PAIRS) {
            return 1.0;
        }
        // Drawn, so that they are not in step with what goes by powers of two.
        $chance = new Randomizer(new Xoshiro256StarStar($this->spots->imprint->run));
        $shares = [];
        for ($i = 0; $i < self::PAIRS; $i++) {
            $block = $chance->getInt(intdiv($i * $blocks, self::PAIRS), intdiv(($i + 1) * $blocks, self::PAIRS) - 1);
            $shares[] = $this->echoing(self::BLOCK * ($first + $block), $from, $lap);
        }

        return array_sum($shares) / count($shares);
    }

    /** @return float share of a block that gives back what is written one lap further on, or the other way about */
    private function echoing(int $block, int $from, int $lap): float
    {
        $there = $block + $lap - $lap % self::BLOCK;
        // On a medium whose first lap stays, both give back that.
        $first = $from + ($block - $from) % $lap;
        $first -= $first % self::BLOCK;
        // A lap shorter than a block shows within one.
        $pair = $lap < self::BLOCK ? [$block] : [$block, ...array_filter([$there, $there + self::BLOCK], fn (int $at): bool => $at > $block && $at < $this->size())];
        $written = array_values(array_unique([$first, $first + self::BLOCK, ...$pair]));
        $this->spots->write($written, self::BLOCK);
        $this->pad($written);
        $echoes = [];
        foreach ($pair as $at) {
            $echoes = [...$echoes, ...(new Sample($this->spots->look($at, self::BLOCK)))->echoes()];
        }

        return min(1.0, array_sum(array_map(fn (Patch $echo): int => $echo->length, $echoes)) / ($lap < self::BLOCK ? self::BLOCK - $lap : self::BLOCK));
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
        while ($repeating - $spared > self::BLOCK) {
            $middle = $spared + intdiv($repeating - $spared, 2 * self::BLOCK) * self::BLOCK;
            $found = $this->repeats($middle, $lap);
            if ($found === null) {
                $spared = $middle;
            } else {
                [$repeating, $begins] = [$middle, $found];
            }
        }

        return $begins;
    }

    /**
     * Where the memory ends: below it next to everything holds, above it next to nothing.
     *
     * @param  list<Sample>  $samples  in order
     */
    private function end(array $samples): ?Diagnosis
    {
        $split = self::split($samples);
        if ($split === null) {
            return null;
        }
        [$holds, $bad, $class] = $split;
        $first = null;
        while (true) {
            $places = $this->between($holds, $bad);
            $found = $this->ask($places, $bad);
            if ($found === null) {
                return Diagnosis::found(Condition::Drops, Bytes::of(max(0, $bad - $bad % self::BLOCK)), null, null, false);
            }
            foreach ($found as $sample) {
                $first = $sample->firstBad();
                if ($first !== null) {
                    $bad = $sample->offset();
                    break;
                }
                $holds = max($holds, $sample->offset());
            }
            if ($places === [] || $bad - $holds <= self::BLOCK) {
                break;
            }
        }
        if (! $this->isNothingBehind($bad)) {
            return null;
        }
        // The end lies in the last block that seemed to hold, of which perhaps only the beginning was looked at, or right behind it. To the sector.
        $block = $bad - $bad % self::BLOCK;
        foreach ($this->ask($block === 0 ? [0] : [$block - self::BLOCK, $block], $bad) ?? [] as $sample) {
            $first = $sample->firstBad();
            if ($first !== null) {
                break;
            }
        }
        if ($first?->class === BlockClass::Unreadable) {
            return Diagnosis::found(Condition::Drops, Bytes::of($this->lastAnswer($first)), null, null);
        }
        $shift = $first?->shift() ?? 0;
        if ($first?->offset === 0 && $shift > 0) {
            // Not an end: something from further on took the place of the very beginning.
            return null;
        }
        if ($first !== null && $shift < 0) {
            // What lies behind the end is the beginning once more, which no write there reaches.
            return Diagnosis::repeating(-$shift, $first->offset + $shift);
        }
        $condition = $class === BlockClass::Scrambled ? Condition::Corrupts : Condition::Drops;

        return Diagnosis::found($condition, Bytes::of($first->offset ?? $bad), null, null);
    }

    /** Whether next to nothing holds from there to the end of the medium: else it was only a bad spot that was met. */
    private function isNothingBehind(int $bad): bool
    {
        $places = $this->between($bad - $bad % self::BLOCK, $this->size());
        $asked = $this->ask($places, $bad);

        return $asked !== null && count(array_filter($asked, fn (Sample $sample): bool => ! $sample->holds())) >= self::NOTHING * count($asked);
    }

    /** A device refuses a whole block for the sake of its end: the sectors of it are asked one by one, by halves. */
    private function lastAnswer(Patch $refused): int
    {
        $sector = Appraiser::SECTOR;
        [$low, $high] = [0, intdiv($refused->length, $sector)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $at = $refused->offset + $middle * $sector;
            $this->spots->write([$at], $sector);
            if ((new Sample($this->spots->look($at, $sector)))->holds()) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $refused->offset + $low * $sector;
    }

    /**
     * @param  list<Sample>  $samples  in order
     * @return array{int, int, BlockClass}|null the last place that holds (−1 block if none), the first that does not, and what is wrong with most behind it
     */
    private static function split(array $samples): ?array
    {
        // What holds at the very end was written last, and may be answered by a cache.
        while (count($samples) > 2 && $samples[count($samples) - 1]->holds()) {
            array_pop($samples);
        }
        $bad = array_map(fn (Sample $sample): bool => ! $sample->holds(), $samples);
        $count = count($samples);
        [$best, $least, $wrong] = [0, PHP_INT_MAX, count(array_filter($bad, fn (bool $is): bool => ! $is))];
        for ($i = 0; $i <= $count; $i++) {
            if ($wrong < $least) {
                [$best, $least] = [$i, $wrong];
            }
            $wrong += ($bad[$i] ?? false) ? 1 : -1;
        }
        $behind = array_slice($samples, $best);
        $badBehind = array_values(array_filter($behind, fn (Sample $sample): bool => ! $sample->holds()));
        if (count($badBehind) < 2 || $least > max(1, 0.08 * $count) || count($badBehind) < self::NOTHING * count($behind)) {
            return null;
        }
        $classes = array_count_values(array_map(fn (Sample $sample): string => $sample->firstBad()->class->value ?? '', $badBehind));
        arsort($classes);
        $before = array_filter(array_slice($samples, 0, $best), fn (Sample $sample): bool => $sample->holds());
        $last = end($before);

        return [$last === false ? -self::BLOCK : $last->offset() - $last->offset() % self::BLOCK, $badBehind[0]->offset(), BlockClass::from(array_key_first($classes))];
    }

    /** @return list<int> blocks spread evenly between two places */
    private function between(int $holds, int $bad): array
    {
        $blocks = intdiv($bad - $bad % self::BLOCK - $holds, self::BLOCK) - 1;
        $places = [];
        for ($i = 1; $i <= min(self::AT_ONCE, $blocks); $i++) {
            $places[] = $holds + self::BLOCK * max(1, intdiv($i * $blocks, min(self::AT_ONCE, $blocks)));
        }

        return array_values(array_unique($places));
    }

    /**
     * @param  list<int>  $places
     * @param  int  $control  a place that is known to be bad
     * @return list<Sample>|null in order; null when a cache cannot be pushed aside
     */
    private function ask(array $places, int $control): ?array
    {
        for (; $this->padding <= self::MOST_PADDING; $this->padding = max(32, 4 * $this->padding)) {
            $asked = array_values(array_unique([...$places, $control - $control % self::BLOCK]));
            $this->spots->write($asked, self::BLOCK);
            $this->pad($asked);
            if (! (new Sample($this->spots->look($control - $control % self::BLOCK, self::BLOCK)))->holds()) {
                return array_map(fn (int $place): Sample => new Sample($this->spots->look($place, self::BLOCK)), $places);
            }
        }

        return null;
    }

    /** @param  list<int>  $keep  blocks that are left alone */
    private function pad(array $keep): void
    {
        if ($this->padding === 0) {
            return;
        }
        $size = $this->size();
        $blocks = [];
        // From just behind the first places on: on any medium that kept its beginning, that is memory it has.
        for ($at = 8 * self::BLOCK; $at < $size && count($blocks) < $this->padding; $at += self::BLOCK) {
            if (! in_array($at, $keep, true)) {
                $blocks[] = $at;
            }
        }
        $this->spots->write($blocks, self::BLOCK);
    }

    /** @param  list<Sample>  $samples */
    private function scattered(array $samples): Diagnosis
    {
        $bad = array_filter($samples, fn (Sample $sample): bool => ! $sample->holds());
        $elsewhere = array_filter($bad, fn (Sample $sample): bool => $sample->echoes() !== []);
        $isMixed = Diagnosis::isMuch(count($bad), count($samples)) && 2 * count($elsewhere) >= count($bad);
        $core = Alarm::sample($samples);
        $holding = $core->bytes(BlockClass::Holds) / max(1, $core->covered());

        return Diagnosis::found($isMixed ? Condition::Aliases : Condition::Faulty, Bytes::of((int) ($this->size() * $holding)), null, null, false);
    }

    private function size(): int
    {
        return $this->spots->imprint->size->count;
    }
}
