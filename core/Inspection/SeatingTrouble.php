<?php

declare(strict_types=1);

namespace Tally\Inspection;

use Tally\Verdict\Reason;
use Tally\Verdict\VerdictKind;

/**
 * Is it the card or the reader? A card that is not found in two readers is to blame itself; in one, either may be.
 */
final readonly class SeatingTrouble
{
    /** @param  list<Seen>  $seen  every seating answer of a card, in any reader */
    public static function reason(array $seen): ?Reason
    {
        $readers = [];
        $last = null;
        foreach ($seen as $one) {
            if ($one->question === Question::Seating && $one->answer->key === 'not-found' && $one->reader !== null) {
                $readers[$one->reader] = true;
                $last = $one;
            }
        }

        return $last === null || count($readers) < 2 ? null : new Reason(
            VerdictKind::Shaky, 'It was not found in '.implode(' and ', array_keys($readers)).':', 'two readers cannot both be wrong.', $last->source(),
        );
    }
}
