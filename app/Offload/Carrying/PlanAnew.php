<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadState;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tally\Offload\Decision;
use Tally\Offload\PlacedCard;
use Tally\Offload\Plan;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Question;
use Tally\Offload\Reckon\Reckoner;
use Tally\Offload\Reckon\SoFar;
use Tally\Offload\Search\Begun;

/** The rest of an offload, planned anew with what is done and what the links really gave. What is in stays as it is. */
final readonly class PlanAnew
{
    /** Seconds of search. */
    private const SEARCH = 0.5;

    /**
     * @return string what came of it, for people
     *
     * @throws ValidationException when there is nothing to plan
     */
    public static function of(Offload $offload): string
    {
        return DB::transaction(function () use ($offload): string {
            $offload = Offload::query()->whereKey($offload->id)->lockForUpdate()->firstOrFail();
            $offload->load('cards.copies', 'cards.card');
            $waiting = $offload->cards->filter(fn (OffloadCard $card): bool => $card->in_at === null);
            if ($offload->state !== OffloadState::Going || $waiting->isEmpty()) {
                throw ValidationException::withMessages(['anew' => 'No card waits any more, so there is nothing left to plan.']);
            }
            $plan = $offload->plan();
            $now = now();
            $goes = HowItGoes::of($offload, $plan, $now);
            $before = self::done($offload, $goes->really, $plan->decision, $now);
            $decision = self::decided($offload, $plan, $goes->really, $now);
            $after = self::done($offload, $goes->really, $decision, $now);
            $isBetter = $after < $before - 1;
            self::keep($offload, Plan::decided($goes->really, $offload->goal, $isBetter ? $decision : $plan->decision, 0.0), $now);
            $saves = (int) round($before - $after);

            return $isBetter
                ? "Planned anew: {$saves} s sooner than going on as before."
                : 'Planned anew with what the links gave: nothing better was found, so it goes on as before.';
        });
    }

    /** Seconds from the beginning. */
    private static function done(Offload $offload, Question $question, Decision $decision, Carbon $now): float
    {
        $order = array_flip(array_map(fn (PlacedCard $card): string => $card->tag, $decision->cards));
        $in = [];
        foreach ($offload->cards as $card) {
            if ($card->in_at !== null) {
                $in[$order[$card->card->tag]] = $offload->seconds($card->in_at);
            }
        }
        $network = $decision->network($question);

        return Reckoner::onFrom($network, $decision->placements($network), new SoFar($in, $offload->seconds($now)))->done;
    }

    /** Those that are in stay where they are and come first; the others wherever they are best now, beside what still goes on. */
    private static function decided(Offload $offload, Plan $plan, Question $really, Carbon $now): Decision
    {
        $in = $since = $turns = $used = [];
        foreach ($offload->cards as $card) {
            if ($card->in_at !== null) {
                $in[] = new PlacedCard($card->card->tag, $card->slot, $card->turn, $card->drives, scheme: $card->scheme);
                $since[] = $offload->seconds($card->in_at);
                $turns[$card->slot] = max($turns[$card->slot] ?? 0, $card->turn);
                foreach ($card->drives as $drive) {
                    $used[$drive] = ($used[$drive] ?? 0.0) + $card->bytes;
                }
            }
        }
        $isIn = array_fill_keys(array_map(fn (PlacedCard $card): string => $card->tag, $in), true);
        $waits = fn (LadenCard|PlacedCard $card): bool => ! isset($isIn[$card->tag]);
        $laden = $plan->question->cards;
        $links = $plan->decision->links;
        $rest = new Question(
            $really->hosts,
            $really->readers,
            array_map(
                fn (Drive $drive): Drive => $drive->with(free: max(0.0, $drive->free - ($used[$drive->name] ?? 0.0))),
                $really->drives,
            ),
            array_values(array_filter($laden, $waits)),
            // What is plugged in stays plugged in.
            links: $links,
            rules: $really->rules,
        );
        $decision = Plan::ofRest(
            $rest,
            $offload->goal,
            self::SEARCH,
            new Begun(
                array_values(array_filter($laden, fn (LadenCard $card): bool => ! $waits($card))),
                $in,
                new SoFar($since, $offload->seconds($now)),
            ),
            known: new Decision($links, array_values(array_filter($plan->decision->cards, $waits))),
        );
        if ($decision === null) {
            return $plan->decision;
        }
        $waiting = array_map(
            fn (PlacedCard $card): PlacedCard => new PlacedCard(
                $card->tag,
                $card->slot,
                $card->order + ($turns[$card->slot] ?? 0),
                $card->drives,
                scheme: $card->scheme,
            ),
            $decision->cards,
        );

        return new Decision($links, [...$in, ...$waiting]);
    }

    private static function keep(Offload $offload, Plan $plan, Carbon $now): void
    {
        $network = $plan->course->network;
        $cards = $offload->cards;
        $in = [];
        foreach ($plan->decision->cards as $at => $placed) {
            $card = $cards->firstOrFail(fn (OffloadCard $one): bool => $one->card->tag === $placed->tag);
            if ($card->in_at !== null) {
                $in[$at] = $offload->seconds($card->in_at);
            }
        }
        $course = Reckoner::onFrom($network, $plan->course->placements, new SoFar($in, $offload->seconds($now)));
        foreach ($plan->decision->cards as $at => $placed) {
            $card = $cards->firstOrFail(fn (OffloadCard $one): bool => $one->card->tag === $placed->tag);
            $card->place = $at;
            if ($card->in_at === null) {
                $card->forceFill([
                    'slot' => $placed->slot,
                    'turn' => $placed->order,
                    'scheme' => $placed->scheme,
                    'drives' => $placed->drives,
                    'planned_in' => $course->in[$at] ?? 0.0,
                    'planned_free' => $course->free[$at] ?? 0.0,
                    'planned_clear' => $course->clear[$at] ?? null,
                ]);
                $card->copies()->delete();
                foreach ($placed->drives as $nth => $drive) {
                    $card->copies()->create([
                        'nth' => $nth + 1,
                        'drive' => $drive,
                        'state' => CopyState::Waiting,
                        'planned' => OffloadStart::windows($course, $plan->question, $at, $drive),
                    ]);
                }
            }
            $card->save();
        }
        $offload->forceFill([
            // What it was reckoned with at first stays: by it is told what time was lost by.
            'decision' => $plan->decision,
            'plans' => $offload->plans + 1,
        ])->save();
    }
}
