<?php

declare(strict_types=1);

namespace Tally\Probe\EarlyCheck;

use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;

/**
 * Rungs: single blocks far ahead of the write pass, at even distances to the very end.
 *
 * On a medium that ends early they are lost at once. On one that starts over, each lies somewhere in the true memory, and
 * the pass overwrites the first of them before it has come as far as from one rung to the next.
 */
final readonly class Ladder
{
    /** One block in so many bytes: a five-hundredth of the time. */
    private const EVERY = 512 * TestPattern::BLOCK;

    private const MOST = 1024;

    /** @return list<int> addresses of blocks, ascending; none on a medium too small to need them */
    public static function of(Bytes $size): array
    {
        $blocks = intdiv($size->count, TestPattern::BLOCK);
        $rungs = min(self::MOST, intdiv($size->count, self::EVERY));
        $places = [];
        for ($i = 1; $i <= $rungs; $i++) {
            $places[] = TestPattern::BLOCK * (intdiv($i * $blocks, $rungs) - 1);
        }

        return $places;
    }
}
