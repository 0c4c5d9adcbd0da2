<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** A row of the runbook that is followed. */
final readonly class FollowLaneProps
{
    /** @param  list<PassageProps>  $passages */
    public function __construct(public string $name, public array $passages) {}
}
