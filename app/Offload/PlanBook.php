<?php

declare(strict_types=1);

namespace App\Offload;

use App\Models\Cards\Card;
use App\Models\Offload\SavedPlan;
use Tally\Offload\Basis\Drawn;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Plan;
use Tally\Offload\PlanFile;

/** Plans that are kept, and how they stand to what is known by now. */
final readonly class PlanBook
{
    /** @param  list<KnownRate>  $rates  that it rests on */
    public static function keep(string $name, Plan $plan, array $rates, string $by): SavedPlan
    {
        return SavedPlan::query()->create([
            'name' => $name,
            'goal' => $plan->goal,
            'question' => PlanFile::write($plan->question, $plan->goal),
            'decision' => $plan->decision,
            'rates' => $rates,
            'done' => $plan->course->done,
            'free' => $plan->course->allFree(),
            'hands' => $plan->course->hands,
            'recorded_by' => $by,
            'created_at' => now(),
        ]);
    }

    /**
     * The rates that are others by now. Cards that carry nothing any more are reckoned as they were.
     *
     * @return list<array{KnownRate, KnownRate}> then and now
     */
    public static function changed(SavedPlan $saved, Plan $plan): array
    {
        $tags = array_map(fn ($card): string => $card->tag, $plan->question->cards);
        $cards = Card::query()->whereIn('tag', $tags)->orderBy('tag')->get()->toBase();
        $asked = BooksQuestion::of($cards, $plan->question->rules, $plan->question->buildsPreviews());
        $now = [];
        foreach ($asked->rates as $rate) {
            $now[$rate->key()] = $rate;
        }
        $changed = [];
        foreach ($saved->rates as $then) {
            $today = $now[$then->key()] ?? $then;
            if (abs($today->rate / $then->rate - 1) > 1e-6) {
                $changed[] = [$then, $today];
            }
        }

        return $changed;
    }

    /**
     * The same decision, with the rates that are known by now.
     *
     * @param  list<array{KnownRate, KnownRate}>  $changed
     */
    public static function today(Plan $plan, array $changed): Plan
    {
        $times = [];
        foreach ($changed as [$then, $now]) {
            $times[$then->key()] = $now->rate / $then->rate;
        }

        return Plan::decided(Drawn::question($plan->question, $times), $plan->goal, $plan->decision);
    }
}
