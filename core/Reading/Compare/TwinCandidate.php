<?php

declare(strict_types=1);

namespace Tally\Reading\Compare;

use Tally\Quantity\Bytes;

/** What one card did on one chain, for finding another that does just the same. */
final readonly class TwinCandidate
{
    /**
     * @param  string  $label  what is printed on it: cards of one label are no news
     * @param  list<float>  $writes  bytes a second, trusted
     * @param  list<float>  $reads
     * @param  Bytes|null  $capacity  on its label: a card of another size is another card
     * @param  bool  $isHeldBack  whether the chain was the limit of one of the two: then equality says nothing of the card
     */
    public function __construct(
        public string $card,
        public string $label,
        public string $chain,
        public array $writes,
        public array $reads,
        public bool $isHeldBack,
        public ?string $backCode = null,
        public ?Bytes $capacity = null,
    ) {}
}
