<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

/** A card reader. */
final readonly class Reader
{
    /**
     * @param  list<ReaderSlot>  $slots
     * @param  array<string, float>  $lanes  lane → bytes a second
     * @param  float  $uplink  bytes a second, of uplink or cable, whichever is lower; INF for none
     */
    public function __construct(public string $name, public array $slots, public array $lanes = [], public float $uplink = INF) {}
}
