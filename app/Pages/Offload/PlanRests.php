<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Basis\RateOf;
use Tally\Offload\PlacedCard;
use Tally\Offload\Plan;
use Tally\Quantity\Rate;

/**
 * What a plan rests on, of all that is known of the kit and the cards.
 *
 * @phpstan-type RestsOnProps array{ // A rate that a plan rests on.
 *     name: string,
 *     rate: string, // with its unit
 *     origin: string, // own measurement, practice, standard or claim
 *     how: string, // where it is from
 *     range: string, // between what it may lie, with its unit; empty where that is known of nothing
 *     thing: string, // the card, reader, host or drive that it is about
 * }
 */
final readonly class PlanRests
{
    /**
     * @param  list<KnownRate>  $rates
     * @return list<RestsOnProps> of what the plan uses
     */
    public static function of(Plan $plan, array $rates): array
    {
        $used = array_filter(self::used($plan, $rates), fn (KnownRate $rate): bool => $rate->rate < INF);

        return array_map(
            fn (KnownRate $rate): array => [
                'name' => $rate->name(),
                'rate' => self::print($rate->of, $rate->rate),
                'origin' => $rate->origin->words(),
                'how' => $rate->how,
                'range' => abs($rate->high - $rate->low) < 1e-6 * $rate->rate
                    ? ''
                    : self::print($rate->of, $rate->low).' to '.self::print($rate->of, $rate->high),
                'thing' => $rate->thing,
            ],
            array_values($used),
        );
    }

    public static function print(RateOf $of, float $rate): string
    {
        return $of === RateOf::Previews ? sprintf('%.3g files/s', $rate) : Rate::bytesPerSecond($rate)->print();
    }

    /**
     * @param  list<KnownRate>  $rates
     * @return array<int, KnownRate>
     */
    private static function used(Plan $plan, array $rates): array
    {
        $plugged = $plan->plugged();
        $network = $plan->course->network;
        $readers = $hosts = $ports = $drives = [];
        foreach ($plan->decision->cards as $at => $card) {
            $slot = $plan->course->placements[$at]->slot;
            $readers[$card->tag] = $plan->question->readers[$network->slots[$slot][0]]->name;
            $hosts[$plan->question->hosts[(int) $network->hostOfSlot($slot)]->name] = true;
            $drives += array_fill_keys($card->drives, true);
        }
        foreach ($plan->question->hosts as $host) {
            foreach ($host->ports as $port) {
                if (in_array("{$host->name} {$port->name}", $plugged, true)) {
                    $ports["{$host->name} {$port->name}"] = true;
                    $ports["{$host->name} {$port->controller}"] = true;
                }
            }
        }
        $isMeasured = [];
        foreach ($rates as $rate) {
            $isMeasured[$rate->thing] = ($isMeasured[$rate->thing] ?? false) ||
                ($rate->of === RateOf::CardIn && ($readers[$rate->thing] ?? null) === $rate->in);
        }
        $tags = array_fill_keys(array_map(fn (PlacedCard $card): string => $card->tag, $plan->decision->cards), true);

        return array_filter(
            $rates,
            fn (KnownRate $rate): bool => match ($rate->of) {
                RateOf::Card => isset($tags[$rate->thing]) && ! $isMeasured[$rate->thing],
                RateOf::CardIn => ($readers[$rate->thing] ?? null) === $rate->in,
                RateOf::Slots, RateOf::Uplink => in_array($rate->thing, $readers, true),
                RateOf::Port, RateOf::Controller => isset($ports["{$rate->thing} {$rate->in}"]),
                RateOf::DriveWrite, RateOf::DriveRead, RateOf::DriveLink => isset($drives[$rate->thing]),
                RateOf::Previews => isset($hosts[$rate->thing]),
            },
        );
    }
}
