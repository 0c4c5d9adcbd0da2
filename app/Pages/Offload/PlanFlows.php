<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use App\Props\Plan\FlowProps;
use Tally\Offload\Load;
use Tally\Offload\Plan;
use Tally\Offload\Reckon\FlowKind;
use Tally\Offload\Reckon\Part;
use Tally\Offload\Reckon\PartKind;
use Tally\Offload\Reckon\Stretch;
use Tally\Quantity\Bytes;

/** The reach map of a plan: how fast each card, reader and drive goes while it goes. */
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
        $pinch = self::pinch($plan);
        foreach ($cards as $tag => [$reader, $stretches]) {
            $amount = Bytes::of((int) $amounts[$tag])->decimal();
            $flows[] = new FlowProps('card', $tag, $reader, $amount, self::rate($stretches), $tag === $pinch);
        }
        foreach ($readers as $reader => $stretches) {
            $port = $plan->decision->links[$reader] ?? '';
            $flows[] = new FlowProps('reader', $reader, $hosts[$reader], $port, self::rate($stretches), $reader === $pinch);
        }
        ksort($drives);
        foreach ($drives as $drive => $stretches) {
            $host = $plan->question->hosts[(int) $plan->course->network->driveHost[$drive]]->name;
            $flows[] = new FlowProps(
                'drive',
                $host,
                $plan->question->drives[$drive]->name,
                Bytes::of((int) $written[$drive])->decimal(),
                self::rate($stretches),
                $plan->question->drives[$drive]->name === $pinch,
            );
        }

        return $flows;
    }

    /** The card, reader or drive that is busiest, or whose port is; empty where it is none of them. */
    private static function pinch(Plan $plan): string
    {
        $part = (Load::of($plan)[0] ?? null)?->part;

        return match ($part?->kind) {
            PartKind::Card => $plan->question->cards[$part->at]->tag,
            PartKind::Drive => $plan->question->drives[$part->at]->name,
            PartKind::Lane, PartKind::Uplink => $plan->question->readers[$part->at]->name,
            PartKind::Port => (string) array_search(self::port($plan, $part), $plan->decision->links, true),
            default => '',
        };
    }

    /** “host port” */
    private static function port(Plan $plan, Part $part): string
    {
        $host = $plan->question->hosts[$part->at];

        return "{$host->name} {$host->ports[(int) $part->in]->name}";
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
