<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** A flow that is under way. */
final readonly class Going
{
    /**
     * @param  int  $placement  of the card
     * @param  list<int>  $writes  drives
     * @param  int|null  $reads  drive
     * @param  float  $since  seconds from the beginning
     * @param  float  $bytes  that have gone
     */
    public function __construct(
        public FlowKind $kind,
        public int $placement,
        public array $writes,
        public ?int $reads,
        public float $since,
        public float $bytes,
    ) {}
}
