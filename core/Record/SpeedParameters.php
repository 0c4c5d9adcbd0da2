<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Probe\PassOrder;
use Tally\Probe\SpeedPlan;
use Tally\Value\Inline;

/** How a speed run was asked for. */
final readonly class SpeedParameters implements Parameters
{
    public function __construct(#[Inline] public SpeedPlan $plan) {}

    public function rounds(): int
    {
        return $this->plan->runs;
    }

    /** @return list<string> what is out of the ordinary, in words */
    public function words(): array
    {
        $plan = $this->plan;

        return array_values(
            array_filter(
                [
                    $plan->block === null ? null : "blocks of {$plan->block->binary()}",
                    $plan->order === PassOrder::Alternating ? null : $plan->order->words(),
                    $plan->warmUps === 0
                        ? null
                        : ($plan->warmUps === 1
                            ? 'one warm-up not counted'
                            : "{$plan->warmUps} warm-ups not counted"),
                    $plan->pause->seconds > 0 ? "{$plan->pause->print()} to cool after each" : null,
                ],
                fn (?string $part): bool => $part !== null,
            ),
        );
    }
}
