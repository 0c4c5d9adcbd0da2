<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use Tally\Offload\Load;
use Tally\Offload\Plan;
use Tally\Offload\Reckon\FlowKind;
use Tally\Offload\Reckon\Part;
use Tally\Offload\Reckon\PartKind;
use Tally\Offload\Reckon\Stretch;
use Tally\Quantity\Bytes;

/**
 * The reach map of a plan: how fast each card, reader and drive goes while it goes.
 *
 * @phpstan-type FlowProps array{ // What goes from one thing to the next in the reach map.
 *     kind: string, // card, reader or drive: card → reader, reader → host, host → drive
 *     from: string,
 *     to: string,
 *     detail: string, // in a few words, such as an amount
 *     rate: float, // MB/s, while something goes
 *     isPinch: bool, // whether what is busiest in the plan lies here
 * }
 */
final readonly class PlanFlows
{
    /** @return list<FlowProps> cards first, then readers, then drives */
    public static function of(Plan $plan): array
    {
        $cards = $readers = $drives = $hosts = $amounts = $written = [];
        foreach ($plan->course->stretches as $stretch) {
            $card = $plan->decision->cards[$stretch->placement];
            if ($stretch->kind === FlowKind::Copy) {
                $slot = $plan->course->placements[$stretch->placement]->slot;
                $reader = $plan->question->readers[$plan->course->network->slots[$slot][0]]->name;
                $hosts[$reader] = $plan->question->hosts[(int) $plan->course->network->hostOfSlot($slot)]->name;
                $cards[$card->tag] = [$reader, [...$cards[$card->tag][1] ?? [], $stretch]];
                $readers[$reader][] = $stretch;
                $amounts[$card->tag] = $stretch->bytes;
            }
            foreach ($stretch->writes as $drive) {
                $drives[$drive][] = $stretch;
                $written[$drive] = ($written[$drive] ?? 0.0) + $stretch->bytes;
            }
        }
        $flows = [];
        $pinched = self::pinched($plan);
        foreach ($cards as $tag => [$reader, $stretches]) {
            $amount = Bytes::of((int) $amounts[$tag])->decimal();
            $flows[] = [
                'kind' => 'card',
                'from' => $tag,
                'to' => $reader,
                'detail' => $amount,
                'rate' => self::rate($stretches),
                'isPinch' => isset($pinched[$tag]),
            ];
        }
        foreach ($readers as $reader => $stretches) {
            $port = $plan->decision->links[$reader] ?? '';
            $flows[] = [
                'kind' => 'reader',
                'from' => $reader,
                'to' => $hosts[$reader],
                'detail' => $port,
                'rate' => self::rate($stretches),
                'isPinch' => isset($pinched[$reader]),
            ];
        }
        ksort($drives);
        foreach ($drives as $drive => $stretches) {
            $host = $plan->question->hosts[(int) $plan->course->network->driveHost[$drive]]->name;
            $flows[] = [
                'kind' => 'drive',
                'from' => $host,
                'to' => $plan->question->drives[$drive]->name,
                'detail' => Bytes::of((int) $written[$drive])->decimal(),
                'rate' => self::rate($stretches),
                'isPinch' => isset($pinched[$plan->question->drives[$drive]->name]),
            ];
        }

        return $flows;
    }

    /** @return array<string, true> the card, reader or drive that is busiest, or all that hang on the port or controller that is */
    private static function pinched(Plan $plan): array
    {
        $part = (Load::of($plan)[0] ?? null)?->part;

        return match ($part?->kind) {
            PartKind::Card => [$plan->question->cards[$part->at]->tag => true],
            PartKind::Drive => [$plan->question->drives[$part->at]->name => true],
            PartKind::Lane, PartKind::Uplink => [$plan->question->readers[$part->at]->name => true],
            PartKind::Port, PartKind::Controller => array_fill_keys(self::on($plan, $part), true),
            default => [],
        };
    }

    /** @return list<string> readers and drives in that port, or in the ports of that controller */
    private static function on(Plan $plan, Part $part): array
    {
        $host = $plan->question->hosts[$part->at];
        $things = [];
        foreach ($host->ports as $p => $port) {
            if ($part->kind === PartKind::Port ? $p === $part->in : $port->controller === $part->in) {
                array_push($things, ...array_keys($plan->plugged(), "{$host->name} {$port->name}", true));
            }
        }

        return $things;
    }

    /**
     * All bytes over the time in which any of them go.
     *
     * @param  list<Stretch>  $stretches
     * @return float MB/s
     */
    private static function rate(array $stretches): float
    {
        usort($stretches, fn (Stretch $one, Stretch $other): int => $one->since <=> $other->since);
        [$bytes, $seconds, $until] = [0.0, 0.0, 0.0];
        foreach ($stretches as $stretch) {
            $bytes += $stretch->bytes;
            $seconds += max(0.0, $stretch->until - max($until, $stretch->since));
            $until = max($until, $stretch->until);
        }

        return $seconds > 0 ? $bytes / $seconds / 1e6 : 0.0;
    }
}
