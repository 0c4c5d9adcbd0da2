<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Quantity\Rate;
use Tally\Quantity\Slip;

/**
 * A figure that somebody typed, and that a slipped unit explains: just so many times a claim of the label, or what the same card was
 * seen to do. People read figures aloud, rounded, and two slips may come together. Handbook § 6 rule 10.
 */
final readonly class TypedSlip
{
    private const EACH = [Slip::MegabitsAsMegabytes, Slip::MegabytesAsMegabits, Slip::MibAsMb, Slip::GibAsGb];

    /** Digits leave no more open than this. */
    private const OPEN = 0.05;

    /** No label asks so little: what is so many times a claim is another unit before it is merit. House rule. */
    private const NO_MERIT = 4.0;

    /** So little of writing is another unit before it is trouble. */
    private const NO_TROUBLE = 0.25;

    /**
     * @param  non-empty-list<Slip>  $slips
     * @param  string  $of  `the label’s 95 MB/s`
     */
    private function __construct(public array $slips, public string $of) {}

    /**
     * @param  list<Rate>  $seen  what the same card was seen to do that way, by a device
     * @param  Rate|null  $writes  of reading: what the same run wrote
     * @param  Rate  $paper  the most that card and chain carry on paper
     */
    public static function of(Rate $typed, ?Rate $claim, array $seen, ?Rate $writes, Rate $paper): ?self
    {
        $near = max(0.01, self::open($typed)) + 1e-9;
        if ($claim !== null) {
            $slips = self::times($typed->over($claim), $near);
            if ($slips !== null) {
                return new self($slips, "the label’s {$claim->print()}");
            }
        }
        foreach ($seen as $rate) {
            $slips = self::times($typed->over($rate), $near);
            // A card differs by a few per cent from run to run: only bits and bytes are told apart by that.
            if ($slips !== null && abs(log($typed->over($rate))) > log(2)) {
                return new self($slips, "the {$rate->printDown()} that it was seen to do");
            }
        }
        $eighth = $typed->bytesPerSecond / 8;
        if ($claim !== null && $typed->over($claim) >= self::NO_MERIT && $eighth <= 1.1 * $claim->bytesPerSecond) {
            return new self([Slip::MegabitsAsMegabytes], Rate::bytesPerSecond($eighth)->print());
        }
        $eightfold = 8 * $typed->bytesPerSecond;
        $isLittle = $writes !== null && $typed->over($writes) < self::NO_TROUBLE;
        $isExplained = $writes !== null && $eightfold >= 0.9 * $writes->bytesPerSecond && $eightfold <= $paper->bytesPerSecond;

        return $isLittle && $isExplained ? new self([Slip::MegabytesAsMegabits], Rate::bytesPerSecond($eightfold)->print()) : null;
    }

    /** @return string `8 times the label’s 95 MB/s: megabits read as megabytes` */
    public function sentence(): string
    {
        return implode(' and ', array_map(fn (Slip $slip): string => $slip->timesWords(), $this->slips)).
            " {$this->of}: ".implode(', and ', array_map(fn (Slip $slip): string => $slip->taken(), $this->slips));
    }

    /** @return non-empty-list<Slip>|null one slip before two */
    private static function times(float $ratio, float $near): ?array
    {
        $pairs = [];
        foreach ([Slip::MegabitsAsMegabytes, Slip::MegabytesAsMegabits] as $first) {
            foreach ([Slip::MibAsMb, Slip::GibAsGb, Slip::MbAsMib, Slip::GbAsGib] as $second) {
                $pairs[] = [$first, $second];
            }
        }
        // One slip before two; of those the nearest.
        foreach ([array_map(fn (Slip $slip): array => [$slip], self::EACH), $pairs] as $kind) {
            $off = array_map(
                fn (array $slips): float => abs($ratio / array_product(array_map(fn (Slip $slip): float => $slip->ratio(), $slips)) - 1),
                $kind,
            );
            asort($off);
            $nearest = array_key_first($off);
            if ($off[$nearest] <= $near) {
                return $kind[$nearest] ?? null;
            }
        }

        return null;
    }

    /** How much of a figure its digits leave open: “800” is 750 and more, where it is not 800 to the unit. */
    private static function open(Rate $typed): float
    {
        $printed = rtrim(rtrim(sprintf('%.3F', $typed->megabytes()), '0'), '.');
        $decimals = max(0, strlen($printed) - (int) strpos("{$printed}.", '.') - 1);
        $zeros = $decimals > 0 ? 0 : strlen($printed) - strlen(rtrim($printed, '0'));

        return min(self::OPEN, (0.5 * 10 ** ($zeros - $decimals)) / max(1e-6, $typed->megabytes()));
    }
}
