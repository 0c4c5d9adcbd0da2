<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/**
 * A row of the runbook: a slot, a drive that copies on to another, or hands.
 *
 * @phpstan-import-type BarProps from PlanLanes
 */
final readonly class LaneProps
{
    /** @param  list<BarProps>  $bars */
    public function __construct(public string $name, public array $bars) {}
}
