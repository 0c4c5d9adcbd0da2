<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

/** By whom, when and on which way a card came home: what stands in the record beside its copies. */
final readonly class Circumstances
{
    /**
     * @param  string|null  $card  its tag
     * @param  string|null  $by  a name
     * @param  string  $host  the machine
     * @param  string|null  $chain  the way from the card, in words
     * @param  string  $began  and $ended: times as ISO 8601 writes them
     */
    public function __construct(
        public ?string $card,
        public ?string $by,
        public string $host,
        public ?string $chain,
        public string $began,
        public string $ended,
    ) {}
}
