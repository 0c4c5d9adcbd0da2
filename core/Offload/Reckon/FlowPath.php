<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** What a flow passes on its way, besides the drives that it writes and reads. */
final readonly class FlowPath
{
    /**
     * @param  float  $ceiling  bytes a second of this way alone
     * @param  array<int, float>  $times  resource → how often it is passed
     */
    public function __construct(public float $ceiling, public array $times) {}
}
