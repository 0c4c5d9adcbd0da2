<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** Something in a plan that takes its time. */
final readonly class Stretch
{
    /**
     * @param  FlowKind|null  $kind  null for hands that put a card in
     * @param  int  $placement  of the card
     * @param  list<int>  $writes  drives
     * @param  int|null  $reads  drive
     * @param  float  $since  seconds from the beginning
     * @param  float  $until  seconds from the beginning
     */
    public function __construct(
        public ?FlowKind $kind,
        public int $placement,
        public array $writes,
        public ?int $reads,
        public float $since,
        public float $until,
        public float $bytes,
    ) {}
}
