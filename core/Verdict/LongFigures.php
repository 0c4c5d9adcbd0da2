<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Evidence\Evidence;
use Tally\Evidence\Source;
use Tally\Measured\Chain;
use Tally\Quantity\Rate;

/** What long writes and the passes of proofs say of the “up to” figures. Handbook § 6 rule 7. */
final readonly class LongFigures
{
    /** A pass over less is no speed of the card. Bytes. */
    private const LEAST = 1_000_000_000;

    /** @return list<array{Rate, Source, Chain, string}> the fastest part of each long write: a burst is what such a claim speaks of */
    public static function written(Evidence $evidence): array
    {
        $found = [];
        foreach ($evidence->longWrites() as $write) {
            $fastest = $write->course->fastest();
            if ($fastest !== null) {
                $found[] = [
                    $fastest,
                    $write->source,
                    $write->chain,
                    "{$write->source->describe()}, the fastest part of {$write->written->decimal()} written, {$write->chain->describe()}",
                ];
            }
        }

        return $found;
    }

    /** @return list<array{Rate, Source, Chain, string}> the mean of each pass of a proof that read back as it should */
    public static function readBack(Evidence $evidence): array
    {
        $found = [];
        foreach ($evidence->proofs as $proof) {
            $record = $proof->record;
            $isEnough = $record->isWhole() || $record->covered()->count >= self::LEAST;
            $rate = $proof->readRate();
            if ($rate !== null && $isEnough && $record->forgot) {
                $found[] = [$rate, $proof->source, $proof->chain, "{$proof->describe()}, {$proof->chain->describe()}"];
            }
        }

        return $found;
    }
}
