<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Evidence\Evidence;
use Tally\Evidence\LongWriteEvidence;
use Tally\Quantity\Rate;

/** What a card was seen to keep up: by long writes alone, since short ones tell of bursts. Handbook § 6 rules 6 and 8. */
final readonly class KeptUp
{
    /** @return list<array{LongWriteEvidence, Rate}> the long writes that count and have a lowest window, the worst first */
    public static function among(Evidence $evidence, ?Repeats $repeats = null): array
    {
        $repeats ??= Repeats::among($evidence);
        $found = [];
        foreach ($evidence->longWrites() as $write) {
            $floor = $write->floor($evidence->label);
            if ($floor !== null && $write->isLong($evidence->label) && $repeats->stands($write->source, 'write', $floor)) {
                $found[] = [$write, $floor];
            }
        }
        usort($found, fn (array $a, array $b): int => $a[1]->bytesPerSecond <=> $b[1]->bytesPerSecond);

        return $found;
    }
}
