<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Probe\PassOrder;
use Tally\Probe\SpeedPlan;
use Tally\Probe\UnusablePlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;

/** How a speed run was asked for. */
final readonly class SpeedParameters implements Parameters
{
    public function __construct(public SpeedPlan $plan) {}

    public static function unpack(Fields $record): self
    {
        try {
            return new self(
                new SpeedPlan(
                    Bytes::of(max(1, $record->count('size', 1))),
                    max(1, $record->count('runs', 1)),
                    Bytes::of($record->count('from', 0)),
                    $record->has('block') ? Bytes::of($record->count('block')) : null,
                    $record->has('order') ? $record->choice('order', PassOrder::class) : PassOrder::Alternating,
                    $record->count('warm_ups', 0),
                    Span::seconds($record->number('pause', 0)),
                ),
            );
        } catch (UnusablePlan $fault) {
            throw $record->wrong($fault->part->value, $fault->getMessage());
        }
    }

    public function pack(): array
    {
        return [
            'size' => $this->plan->region->count,
            'runs' => $this->plan->runs,
            'from' => $this->plan->from->count,
            'block' => $this->plan->block?->count,
            'order' => $this->plan->order->value,
            'warm_ups' => $this->plan->warmUps,
            'pause' => $this->plan->pause->seconds,
        ];
    }

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
