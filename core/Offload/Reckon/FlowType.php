<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** A flow of a certain card over a certain way, with its drives in a certain state: what it takes, and the most it can do. */
final readonly class FlowType
{
    /**
     * @param  int  $id  its number in the network
     * @param  float  $limit  bytes a second that it can do by itself
     * @param  array<int, float>  $uses  resource → how much of it one byte a second takes
     */
    public function __construct(public int $id, public float $limit, public array $uses) {}
}
