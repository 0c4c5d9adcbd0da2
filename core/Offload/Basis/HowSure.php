<?php

declare(strict_types=1);

namespace Tally\Offload\Basis;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Offload\Plan;
use Tally\Offload\Reckon\Reckoner;

/**
 * How far a plan's times may be off: the same decision reckoned again with rates drawn, each by itself, from where it may
 * lie. All are taken to be as likely from the low to the high end: common practice, no source.
 */
final readonly class HowSure
{
    /** The middle four fifths. */
    private const EARLY = 0.1;

    private const LATE = 0.9;

    private const STEPS = 1 << 30;

    /**
     * @param  int  $draws  that it is from
     * @param  array{float, float, float}  $done  seconds: a tenth are earlier, half, nine tenths
     * @param  array{float, float, float}  $free  the same of the last card
     */
    private function __construct(public int $draws, public array $done, public array $free) {}

    /**
     * The same plan and rates give the same answer.
     *
     * @param  list<KnownRate>  $rates
     * @param  int  $draws  at least one
     */
    public static function of(Plan $plan, array $rates, int $draws = 200): self
    {
        $random = new Randomizer(new Mt19937(1));
        $done = $free = [];
        for ($draw = 0; $draw < $draws; $draw++) {
            $times = [];
            foreach ($rates as $rate) {
                $part = $random->getInt(0, self::STEPS) / self::STEPS;
                $times[$rate->key()] = ($rate->low + $part * ($rate->high - $rate->low)) / $rate->rate;
            }
            $network = $plan->decision->network(Drawn::question($plan->question, $times));
            $course = Reckoner::figures($network, $plan->decision->placements($network));
            $done[] = $course->done;
            $free[] = $course->allFree();
        }

        return new self($draws, self::middle($done), self::middle($free));
    }

    /**
     * @param  list<float>  $values
     * @return array{float, float, float}
     */
    private static function middle(array $values): array
    {
        sort($values);
        $at = fn (float $share): float => $values[(int) round($share * (count($values) - 1))] ?? 0.0;

        return [$at(self::EARLY), $at(0.5), $at(self::LATE)];
    }
}
