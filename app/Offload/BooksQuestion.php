<?php

declare(strict_types=1);

namespace App\Offload;

use App\Gear\CardSource;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use Illuminate\Support\Collection;
use Tally\Chain\Ceiling;
use Tally\Chain\CeilingOrigin;
use Tally\Label\Bus;
use Tally\Offload\LeftOut;
use Tally\Offload\Missing;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Rules;

/** What a plan is asked for, from the books: the kit, and the footage that is on cards. */
final readonly class BooksQuestion
{
    /**
     * @param  list<LeftOut>  $leftOut  cards that no plan may have, or that have nothing on them
     * @param  list<string>  $assumed  what rests on a label and not on a measurement, each a sentence
     */
    private function __construct(public Question $question, public array $leftOut, public array $assumed) {}

    /** @param  Collection<int, Card>  $cards */
    public static function of(Collection $cards, Rules $rules): self
    {
        $runs = Run::query()
            ->with(['slot', 'void'])
            ->whereIn('card_id', $cards->map(fn (Card $card): int => $card->id)->all())
            ->orderBy('id')
            ->get()
            ->toBase()
            ->groupBy('card_id');
        $spoken = KitGear::spoken();
        $laden = $leftOut = $assumed = [];
        foreach ($cards as $card) {
            $verdict = $card->overruled ?? $card->verdict;
            if ($card->footage->isZero()) {
                $leftOut[] = new LeftOut(
                    $card->tag,
                    Missing::Footage,
                    "{$card->tag} has no footage marked on it. Mark how much there is at Intake, or leave it out.",
                );
            } elseif ($verdict->isStruckOut()) {
                $leftOut[] = new LeftOut(
                    $card->tag,
                    Missing::Struck,
                    "{$card->tag} is {$verdict->value} and left out. Copy its footage first, alone and gently, and keep the card.",
                );
            } else {
                $laden[] = self::card($card, $runs[$card->id] ?? new Collection(), $spoken, $assumed);
            }
        }

        return new self(new Question(KitGear::hosts(), KitGear::readers(), KitGear::drives(), $laden, [], $rules), $leftOut, $assumed);
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @param  list<list<Bus>>  $spoken  by each slot of the kit
     * @param  list<string>  $assumed  one sentence more, where its reading was never measured
     */
    private static function card(Card $card, Collection $runs, array $spoken, array &$assumed): LadenCard
    {
        $source = CardSource::of($card, $runs, $card->footage);
        $buses = KitGear::settled($source->buses, $spoken);
        $read = $source->card;
        if ($read === null || $read->origin === CeilingOrigin::Claim) {
            $assumed[] = "{$card->tag} was never read on a chain that showed all of it: its label is taken at the low end of practice.";
        }

        return new LadenCard(
            $card->tag,
            (float) $card->footage->count,
            0,
            self::low($read, $buses),
            $buses,
            array_map(fn (Ceiling $ceiling): float => $ceiling->usable()->bytesPerSecond, $source->byReader),
        );
    }

    /**
     * What was measured, else what the label claims, and no more than its bus gives at the least.
     *
     * @param  list<string>  $buses
     * @return float bytes a second
     */
    private static function low(?Ceiling $read, array $buses): float
    {
        if ($read !== null && $read->origin !== CeilingOrigin::Claim) {
            return $read->usable()->bytesPerSecond;
        }
        $least = 0.0;
        foreach ($buses as $key) {
            $ceiling = Bus::from($key)->ceiling();
            $least = max($least, ($ceiling->least() ?? $ceiling->usable())->bytesPerSecond);
        }
        $claim = $read?->usable()->bytesPerSecond;

        return match (true) {
            $claim === null => $least > 0 ? $least : 1e6,
            $least > 0 => min($claim, $least),
            default => $claim,
        };
    }
}
