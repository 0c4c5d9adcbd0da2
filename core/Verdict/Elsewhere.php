<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Evidence\House;
use Tally\Evidence\Reach;
use Tally\Quantity\Rate;

/** Where in the kit a promise could be judged that the chain at hand could not show. */
final readonly class Elsewhere
{
    /** @return string empty where no kit is known */
    public static function for(Rate $promise, House $house): string
    {
        $reaches = $house->reaches();
        $able = array_filter($reaches ?? [], fn (Reach $reach): bool => $reach->blame->couldShow($promise));
        // The slowest that is fast enough, so that the fastest reader stays free.
        $least = array_pop($able);
        $best = $reaches[0] ?? null;

        return match (true) {
            $reaches === null => '',
            $least !== null => "{$least->name} could show it: {$least->blame->path->practice()?->print()} in practice.",
            $best !== null => "No reader of the kit is sure to show it; the fastest for it is {$best->name}, ".
                ($best->blame->path->practice()?->print() ?? 'as nobody knows').
                ' in practice.',
            default => 'Nothing in the kit takes it.',
        };
    }
}
