<?php

declare(strict_types=1);

namespace App\Shoot;

use App\Evidence\CardEvidence;
use App\Evidence\JudgeRules;
use App\Gear\ReaderReach;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use Closure;
use Illuminate\Support\Collection;
use Tally\Evidence\Evidence;
use Tally\Evidence\House;
use Tally\Measured\Reached;
use Tally\Shoot\Ability;

/** What the cards of the house can do for a camera. The same number of questions to the books, however many cards there are. */
final readonly class Abilities
{
    /**
     * @param  Collection<int, Card>  $cards
     * @return array<int, Ability> card → what it can do
     */
    public static function of(Collection $cards): array
    {
        $runs = Run::query()
            ->with(['slot', 'void'])
            ->whereIn('card_id', $cards->pluck('id'))
            ->whereNotNull('result')
            ->orderBy('id')
            ->get()
            ->toBase()
            ->groupBy('card_id');
        $all = null;
        $reached = function (Card $card) use (&$all): array {
            $all ??= ReaderReach::byCard();

            return ReaderReach::others($all, $card);
        };
        $abilities = [];
        foreach ($cards as $card) {
            $abilities[$card->id] = Ability::of(
                self::evidence($card, $runs[$card->id] ?? new Collection(), fn (): array => $reached($card)),
                $card->overruled ?? $card->verdict,
            );
        }

        return $abilities;
    }

    /**
     * What was seen on it stands in its verdict already.
     *
     * @param  Collection<int, Run>  $runs
     * @param  Closure(): list<Reached>  $reached
     */
    private static function evidence(Card $card, Collection $runs, Closure $reached): Evidence
    {
        [$speeds, $proofs, $sustained] = CardEvidence::sorted($runs);

        return new Evidence(
            $card->label(),
            $speeds,
            $proofs,
            $sustained,
            house: new House(reached: $reached, by: JudgeRules::now()),
        );
    }
}
