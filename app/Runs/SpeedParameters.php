<?php

declare(strict_types=1);

namespace App\Runs;

use Illuminate\Support\Fluent;
use Tally\Probe\Order;
use Tally\Probe\SpeedPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;

/** How a speed run was asked for, as it is kept with it. */
final readonly class SpeedParameters
{
    /** @return array<string, int|float|string|null> */
    public static function pack(SpeedPlan $plan): array
    {
        return [
            'size' => $plan->region->count, 'runs' => $plan->runs, 'from' => $plan->from->count, 'block' => $plan->block?->count,
            'order' => $plan->order->value, 'warm_ups' => $plan->warmUps, 'pause' => $plan->pause->seconds,
        ];
    }

    /** @param  Fluent<string, mixed>  $parameters */
    public static function unpack(Fluent $parameters): SpeedPlan
    {
        return new SpeedPlan(
            Bytes::of($parameters->integer('size')), $parameters->integer('runs'), Bytes::of($parameters->integer('from')),
            $parameters->get('block') === null ? null : Bytes::of($parameters->integer('block')),
            Order::tryFrom($parameters->string('order')->value()) ?? Order::Alternating,
            $parameters->integer('warm_ups'), Span::seconds($parameters->float('pause')),
        );
    }

    /** @return list<string> what is out of the ordinary, in words */
    public static function words(SpeedPlan $plan): array
    {
        return array_values(array_filter([
            $plan->block === null ? null : "blocks of {$plan->block->binary()}",
            $plan->order === Order::Alternating ? null : $plan->order->words(),
            $plan->warmUps === 0 ? null : ($plan->warmUps === 1 ? 'one warm-up not counted' : "{$plan->warmUps} warm-ups not counted"),
            $plan->pause->seconds > 0 ? "{$plan->pause->print()} to cool after each" : null,
        ], fn (?string $part): bool => $part !== null));
    }
}
