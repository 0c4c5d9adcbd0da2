<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** Something that happens in a plan. */
final readonly class Event
{
    /**
     * @param  float  $at  seconds from the beginning
     * @param  int  $placement  of the card
     * @param  int|null  $drive  where it is about a copy
     */
    public function __construct(public float $at, public EventKind $what, public int $placement, public ?int $drive) {}
}
