<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use Illuminate\Support\Carbon;
use Tally\Offload\Basis\Drawn;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Basis\RateOf;
use Tally\Offload\Plan;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Scheme;
use Tally\Offload\Reckon\Course;
use Tally\Offload\Reckon\FlowKind;
use Tally\Offload\Reckon\Reckoner;
use Tally\Offload\Reckon\SoFar;

/** How an offload stands to its plan: what the links really gave, when it will be done, and what the time was lost by. */
final readonly class HowItGoes
{
    /** A flow that ran shorter says nothing of a link: seconds. */
    private const LONG_ENOUGH = 15.0;

    /** Nearer than this it is as reckoned with. */
    private const AS_RECKONED = 0.06;

    /**
     * @param  Course  $course  as it went, and on from here with what the links gave
     * @param  float  $byHands  seconds that cards waited for hands longer than planned
     * @param  list<GaveLess>  $less  links that gave less than was reckoned with, the worst first
     * @param  Question  $really  with what the links gave
     */
    private function __construct(public Course $course, public float $byHands, public array $less, public Question $really) {}

    public static function of(Offload $offload, Plan $plan, Carbon $now): self
    {
        $seconds = $offload->seconds($offload->ended_at ?? $now);
        $in = [];
        foreach ($offload->cards as $card) {
            if ($card->in_at !== null) {
                $in[$card->place] = $offload->seconds($card->in_at);
            }
        }
        $soFar = new SoFar($in, $seconds);
        $on = fn (Question $question): Course => Reckoner::onFrom(
            $network = $plan->decision->network($question),
            $plan->decision->placements($network),
            $soFar,
        );
        $asReckoned = $on($plan->question);
        $less = self::less($offload, $plan, $asReckoned, $seconds);
        $times = [];
        foreach ($less as $one) {
            $times[$one->key] = $one->times;
        }
        $really = $times === [] ? $plan->question : Drawn::question($plan->question, $times);

        return new self(
            $times === [] ? $asReckoned : $on($really),
            self::waited($offload, $plan),
            $less,
            $really,
        );
    }

    /** A swap waits from when the card before is free; a first card from when the plan has it in. */
    private static function waited(Offload $offload, Plan $plan): float
    {
        $first = $swaps = 0.0;
        foreach ($offload->cards as $card) {
            if ($card->in_at === null) {
                continue;
            }
            $in = $offload->seconds($card->in_at);
            $before = $offload->cards->first(
                fn (OffloadCard $one): bool => $one->slot === $card->slot && $one->turn === $card->turn - 1,
            );
            if ($before?->free_at === null) {
                $first = max($first, $in - $card->planned_in);
            } else {
                $swaps += max(0.0, $in - $offload->seconds($before->free_at) - $plan->question->rules->swap);
            }
        }

        return $first + $swaps;
    }

    /** When it will be done, or was: seconds from the beginning. */
    public function done(Offload $offload): float
    {
        return $offload->ended_at === null ? $this->course->done : $offload->seconds($offload->ended_at);
    }

    /** @return list<GaveLess> */
    private static function less(Offload $offload, Plan $plan, Course $asReckoned, float $now): array
    {
        $gave = $reckoned = [];
        foreach ($offload->cards as $card) {
            foreach ($card->copies as $copy) {
                // Of a fan-out the first copy stands for all: they go at once.
                if ($copy->copy_at === null || $copy->copied === 0 || ($copy->nth > 1 && $card->scheme === Scheme::FanOut)) {
                    continue;
                }
                $thing = $copy->isRelayed() ? $copy->drive : self::reader($plan, $card);
                $until = $copy->copied_at === null ? $now : $offload->seconds($copy->copied_at);
                $gave[$thing][] = [$copy->copied, $offload->seconds($copy->copy_at), $until];
                $kind = $copy->isRelayed() ? FlowKind::Relay : FlowKind::Copy;
                foreach ($asReckoned->stretches as $stretch) {
                    if ($stretch->placement === $card->place && $stretch->kind === $kind) {
                        $reckoned[$thing][] = [$stretch->bytes, $stretch->since, $stretch->until];
                        break;
                    }
                }
            }
        }
        $less = [];
        foreach ($gave as $thing => $passages) {
            $really = self::together($passages);
            $planned = self::together($reckoned[$thing] ?? []);
            if ($really !== null && $planned !== null && $really < $planned * (1 - self::AS_RECKONED)) {
                $less[] = self::named($plan, $thing, $really, $planned);
            }
        }
        $less = array_values(array_filter($less, fn (?GaveLess $one): bool => $one !== null));
        usort($less, fn (GaveLess $one, GaveLess $other): int => $one->gave / $one->reckoned <=> $other->gave / $other->reckoned);

        return $less;
    }

    /**
     * Bytes a second over all the time in which any of them went.
     *
     * @param  list<array{float|int, float, float}>  $passages  bytes, since, until
     * @return float|null null where they went too short to say
     */
    private static function together(array $passages): ?float
    {
        usort($passages, fn (array $one, array $other): int => $one[1] <=> $other[1]);
        $bytes = $seconds = 0.0;
        $end = -INF;
        foreach ($passages as [$moved, $since, $until]) {
            $bytes += $moved;
            $seconds += max(0.0, $until - max($since, $end));
            $end = max($end, $until);
        }

        return $seconds < self::LONG_ENOUGH ? null : $bytes / $seconds;
    }

    private static function reader(Plan $plan, OffloadCard $card): string
    {
        $slot = array_search($card->slot, $plan->course->network->slotNames, true);

        return $slot === false ? '' : $plan->question->readers[$plan->course->network->slots[$slot][0]]->name;
    }

    private static function named(Plan $plan, string $thing, float $gave, float $reckoned): ?GaveLess
    {
        foreach ($plan->question->readers as $reader) {
            if ($reader->name === $thing && $reader->uplink < INF) {
                return new GaveLess($thing, KnownRate::keyOf(RateOf::Uplink, $thing), $gave / $reader->uplink, $gave, reckoned: $reckoned);
            }
        }
        foreach ($plan->question->drives as $drive) {
            if ($drive->name === $thing) {
                return new GaveLess(
                    $thing,
                    KnownRate::keyOf(RateOf::DriveWrite, $thing),
                    $gave / $drive->write,
                    $gave,
                    reckoned: $reckoned,
                );
            }
        }

        return null;
    }
}
