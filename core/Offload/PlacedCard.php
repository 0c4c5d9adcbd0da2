<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Offload\Question\Scheme;

/** Where a card goes in a plan, and how it is copied. */
final readonly class PlacedCard
{
    /**
     * @param  string  $slot  “reader slot”
     * @param  int  $order  among the cards of that slot, from 1
     * @param  list<string>  $drives  for each copy
     */
    public function __construct(
        public string $tag,
        public string $slot,
        public int $order,
        public array $drives,
        public Scheme $scheme,
    ) {}
}
