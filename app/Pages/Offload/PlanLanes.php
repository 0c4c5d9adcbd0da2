<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use Tally\Offload\Plan;
use Tally\Offload\Reckon\FlowKind;
use Tally\Offload\Reckon\Stretch;

/**
 * The runbook of a plan: a lane for each slot, for each drive that copies on, and for hands.
 *
 * @phpstan-type BarProps array{ // Something in the runbook that takes its time. Times are seconds from the start.
 *     kind: string, // copy, read back, relay or hands
 *     tag: string, // of the card
 *     words: string, // what it is, in a sentence without its times
 *     from: float,
 *     until: float,
 * }
 * @phpstan-type LaneProps array{ // A row of the runbook: a slot, a drive that copies on to another, or hands.
 *     name: string,
 *     bars: list<BarProps>,
 * }
 */
final readonly class PlanLanes
{
    /** @return list<LaneProps> slots, drives that copy on to others, and hands */
    public static function of(Plan $plan): array
    {
        $slots = $onward = $hands = [];
        foreach ($plan->course->stretches as $stretch) {
            $card = $plan->decision->cards[$stretch->placement];
            $bar = self::bar($plan, $stretch);
            if ($stretch->kind === null) {
                $hands[] = $bar;
            } elseif (self::isOnward($plan, $stretch)) {
                $onward[self::way($plan, $stretch)][] = $bar;
            } else {
                $slots[$card->slot][] = $bar;
            }
        }
        ksort($slots);
        ksort($onward);
        $lanes = [];
        foreach ([...$slots, ...$onward] as $name => $bars) {
            $lanes[] = ['name' => $name, 'bars' => $bars];
        }

        return $hands === [] ? $lanes : [...$lanes, ['name' => 'hands', 'bars' => $hands]];
    }

    /** A relay, or the reading back of what one made. */
    private static function isOnward(Plan $plan, Stretch $stretch): bool
    {
        $card = $plan->decision->cards[$stretch->placement];
        $read = $stretch->reads === null ? null : $plan->question->drives[$stretch->reads]->name;

        return $stretch->kind === FlowKind::Relay ||
            ($stretch->kind === FlowKind::ReadBack && $card->scheme->value === 'relay' && $read !== $card->drives[0]);
    }

    private static function way(Plan $plan, Stretch $stretch): string
    {
        $card = $plan->decision->cards[$stretch->placement];
        $to = $stretch->kind === FlowKind::Relay ? $stretch->writes[0] ?? null : $stretch->reads;

        return "{$card->drives[0]} → ".($to === null ? '' : $plan->question->drives[$to]->name);
    }

    /** @return BarProps */
    private static function bar(Plan $plan, Stretch $stretch): array
    {
        $card = $plan->decision->cards[$stretch->placement];
        $onto = implode(' and ', array_map(fn (int $drive): string => $plan->question->drives[$drive]->name, $stretch->writes));
        $from = $stretch->reads === null ? '' : $plan->question->drives[$stretch->reads]->name;

        return [
            'kind' => $stretch->kind->value ?? 'hands',
            'tag' => $card->tag,
            'words' => match ($stretch->kind) {
                null => $card->order === 1 ? "put {$card->tag} into {$card->slot}" : "swap {$card->tag} into {$card->slot}",
                FlowKind::Copy => "copy {$card->tag} to {$onto}",
                FlowKind::Relay => "copy {$card->tag} from {$from} on to {$onto}",
                FlowKind::ReadBack => "read {$card->tag} back from {$from}",
            },
            'from' => $stretch->since,
            'until' => $stretch->until,
        ];
    }
}
