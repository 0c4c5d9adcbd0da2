<?php

declare(strict_types=1);

namespace App\Pages\Card;

use Tally\Verdict\VerdictKind;

/** What another house says of the card, in a file that no station this house knows has signed. */
final readonly class TheirsProps
{
    /**
     * @param  VerdictKind  $verdict  theirs; it bears nothing here
     * @param  string  $by  who signed it, as far as that can be told
     * @param  string  $readIn  who read it in, and when
     */
    public function __construct(
        public int $id,
        public VerdictKind $verdict,
        public int $runs,
        public string $madeAt,
        public string $by,
        public string $readIn,
    ) {}
}
