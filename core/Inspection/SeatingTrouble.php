<?php

declare(strict_types=1);

namespace Tally\Inspection;

/**
 * Is it the card or the reader? A card that is not found in two readers is to blame itself; in one, either may be.
 */
final readonly class SeatingTrouble
{
    /**
     * @param  non-empty-list<string>  $readers  in which it was not found
     * @param  Seen  $last  the answer that settled it
     */
    private function __construct(public array $readers, public Seen $last) {}

    /** @param  list<Seen>  $seen  every seating answer of a card, in any reader */
    public static function among(array $seen): ?self
    {
        $readers = [];
        $last = null;
        foreach ($seen as $one) {
            if ($one->question === Question::Seating && $one->answer->key === 'not-found' && $one->reader !== null) {
                $readers[$one->reader] = true;
                $last = $one;
            }
        }

        return $last === null || count($readers) < 2 ? null : new self(array_map(strval(...), array_keys($readers)), $last);
    }
}
