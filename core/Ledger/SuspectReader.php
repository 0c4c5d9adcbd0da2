<?php

declare(strict_types=1);

namespace Tally\Ledger;

/** A reader that is named with trouble of several cards is itself suspected. House rule. */
final readonly class SuspectReader
{
    public const CARDS = 3;

    /**
     * @param  list<array{string, IncidentKind}>  $incidents  tag of the card and what happened, all with this reader
     * @return list<string> cards it is named with; empty where it is not suspected
     */
    public static function among(array $incidents): array
    {
        $cards = [];
        foreach ($incidents as [$tag, $kind]) {
            if ($kind->maybeTheReaders() && ! in_array($tag, $cards, true)) {
                $cards[] = $tag;
            }
        }

        return count($cards) >= self::CARDS ? $cards : [];
    }
}
