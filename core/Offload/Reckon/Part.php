<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** The piece of gear that a resource stands for. */
final readonly class Part
{
    /**
     * @param  int  $at  the card, the drive, the reader, or the host of a port or controller, by its place in the question
     * @param  int|string|null  $in  port or controller of that host
     */
    public function __construct(public PartKind $kind, public int $at, public int|string|null $in = null) {}
}
