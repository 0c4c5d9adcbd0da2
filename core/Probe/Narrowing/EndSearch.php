<?php

declare(strict_types=1);

namespace Tally\Probe\Narrowing;

use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Probe\EarlyCheck\Sample;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;

/** Where the memory of a medium ends: below it next to everything holds, above it next to nothing. */
final readonly class EndSearch
{
    /** How many places are asked in one go. */
    private const AT_ONCE = 16;

    /** From this share of bad places on, nothing holds. */
    private const NOTHING = 0.75;

    public function __construct(private Asking $asking) {}

    /** @param  list<Sample>  $samples  in order */
    public function of(array $samples): ?Diagnosis
    {
        $split = self::split($samples);
        if ($split === null) {
            return null;
        }
        [$holds, $bad, $class] = $split;
        $first = null;
        while (true) {
            $places = $this->between($holds, $bad);
            $found = $this->asking->ask($places, $bad);
            if ($found === null && $class === BlockClass::Echoes && $bad < Asking::BLOCK) {
                // Nothing was lost there: something from further on took its place.
                return null;
            }
            if ($found === null) {
                return Diagnosis::found(
                    $class === BlockClass::Unreadable ? Condition::Refuses : Condition::Drops,
                    Bytes::of(max(0, $bad - ($bad % Asking::BLOCK))),
                    null,
                    null,
                    exact: false,
                );
            }
            foreach ($found as $sample) {
                $first = $sample->firstBad();
                if ($first !== null) {
                    $bad = $sample->offset();
                    break;
                }
                $holds = max($holds, $sample->offset());
            }
            if ($places === [] || $bad - $holds <= Asking::BLOCK) {
                break;
            }
        }
        if (! $this->isNothingBehind($bad)) {
            return null;
        }
        // The end lies in the last block that seemed to hold, of which perhaps only the beginning was looked at, or right
        // behind it. To the sector.
        $block = $bad - ($bad % Asking::BLOCK);
        foreach ($this->asking->ask($block === 0 ? [0] : [$block - Asking::BLOCK, $block], $bad) ?? [] as $sample) {
            $first = $sample->firstBad();
            if ($first !== null) {
                break;
            }
        }
        if ($first?->class === BlockClass::Unreadable) {
            return Diagnosis::found(Condition::Refuses, Bytes::of($this->lastAnswer($first)), null, null);
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
        $condition = match ($class) {
            BlockClass::Scrambled => Condition::Corrupts,
            BlockClass::Unreadable => Condition::Refuses,
            default => Condition::Drops,
        };

        return Diagnosis::found($condition, Bytes::of($first->offset ?? $bad), null, null);
    }

    /** Whether next to nothing holds from there to the end of the medium: else it was only a bad spot that was met. */
    private function isNothingBehind(int $bad): bool
    {
        $places = $this->between($bad - ($bad % Asking::BLOCK), $this->asking->size());
        $asked = $this->asking->ask($places, $bad);

        return $asked !== null &&
            count(array_filter($asked, fn (Sample $sample): bool => ! $sample->holds())) >= self::NOTHING * count($asked);
    }

    /** A device refuses a whole block for the sake of its end: the sectors of it are asked one by one, by halves. */
    private function lastAnswer(Patch $refused): int
    {
        $sector = Appraiser::SECTOR;
        [$low, $high] = [0, intdiv($refused->length, $sector)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $at = $refused->offset + $middle * $sector;
            $this->asking->spots->write([$at], $sector);
            if ((new Sample($this->asking->spots->look($at, $sector)))->holds()) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $refused->offset + $low * $sector;
    }

    /**
     * @param  list<Sample>  $samples  in order
     * @return array{int, int, BlockClass}|null the last place that holds (−1 block if none), the first that does not, and what
     * is wrong with most behind it
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
            $wrong += $bad[$i] ?? false ? 1 : -1;
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

        return [
            $last === false ? -Asking::BLOCK : $last->offset() - ($last->offset() % Asking::BLOCK),
            $badBehind[0]->offset(),
            BlockClass::from(array_key_first($classes)),
        ];
    }

    /** @return list<int> blocks spread evenly between two places */
    private function between(int $holds, int $bad): array
    {
        $blocks = intdiv($bad - ($bad % Asking::BLOCK) - $holds, Asking::BLOCK) - 1;
        $places = [];
        for ($i = 1; $i <= min(self::AT_ONCE, $blocks); $i++) {
            $places[] = $holds + Asking::BLOCK * max(1, intdiv($i * $blocks, min(self::AT_ONCE, $blocks)));
        }

        return array_values(array_unique($places));
    }
}
