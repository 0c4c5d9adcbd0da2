<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Offload\Question\Scheme;

/**
 * How long the cards of a plan take without one: one card at a time, each in the slot where the plan has it, copied straight from the
 * card to one drive after the other, with the same read-backs and hands. Reckoned by the same model, so that only the order differs.
 */
final readonly class OneByOne
{
    /** @return float seconds */
    public static function seconds(Plan $plan): float
    {
        $rules = $plan->question->rules;
        $seconds = 0.0;
        foreach ($plan->question->cards as $card) {
            $placed = array_values(array_filter($plan->decision->cards, fn (PlacedCard $one): bool => $one->tag === $card->tag));
            if ($placed !== []) {
                $alone = new PlacedCard($card->tag, $placed[0]->slot, 1, $placed[0]->drives, scheme: Scheme::Straight);
                // Hands swap every card but the first.
                $seconds += $seconds === 0.0 ? 0.0 : $rules->swap - $rules->first;
                $seconds += Plan::decided(
                    $plan->question->withCards([$card]),
                    $plan->goal,
                    new Decision($plan->decision->links, [$alone]),
                    0.0,
                )->course->done;
            }
        }

        return $seconds;
    }

    /** @return float seconds that the plan saves; none where it is no sooner */
    public static function saved(Plan $plan): float
    {
        return max(0.0, self::seconds($plan) - $plan->course->done);
    }
}
