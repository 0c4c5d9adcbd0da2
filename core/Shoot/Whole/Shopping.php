<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Shoot\Demand;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\Handout\Search;
use Tally\Shoot\Handout\Task;
use Tally\Shoot\LeastMark;
use Tally\Shoot\Mode;

/** The least that would have to be bought: the fewest cards, of them those of the least marks; the house’s own may move for it. */
final readonly class Shopping
{
    /** A card more outweighs any mark. */
    private const CARD = 100;

    /** Where the house has no card of the kind. Common practice, no source. */
    private const SIZE = 128;

    /**
     * @param  list<PackedPlace>  $packed
     * @return list<Purchase>
     */
    public static function of(Question $question, Kinds $kinds, array $packed, int $looks): array
    {
        $offers = [];
        foreach ($packed as $at => $one) {
            $offers[$at] = self::offer($question, $one->place);
        }
        $handout = Search::best(self::task($question, $kinds->task, $packed, $offers, kinds: $kinds), $looks)[1];
        $buys = [];
        foreach ($packed as $at => $one) {
            $count = $handout->taken[$at][self::kind($kinds, $at)] ?? 0;
            if ($count > 0 || ($offers[$at]->mark === null && $one->missing() > 0)) {
                $buys[] = new Purchase($one->place, $offers[$at]->mark, $offers[$at]->size, $count);
            }
        }

        return $buys;
    }

    /**
     * Own cards cost nothing; of each offer there is as much as a place could want.
     *
     * @param  list<PackedPlace>  $packed
     * @param  array<int, Purchase>  $offers
     */
    private static function task(Question $question, Task $own, array $packed, array $offers, Kinds $kinds): Task
    {
        $free = $own->withoutCosts();
        [$stock, $gives, $costs] = [$free->stock, $free->gives, $free->costs];
        foreach ($packed as $at => $one) {
            $kind = self::kind($kinds, $at);
            $mark = $offers[$at]->mark;
            $count = $one->place->isSpare() ? 1 : $one->place->count->on($offers[$at]->size, $question->usable);
            $stock[$kind] = $mark === null || $count === 0 ? 0 : intdiv($one->place->need - 1, $count) + 1;
            foreach (array_keys($packed) as $place) {
                $gives[$place][$kind] = $place === $at && $stock[$kind] > 0 ? $count * $kinds->points($one->place) : 0;
                $costs[$place][$kind] = self::CARD + ($mark === null ? 0 : Ladder::step($mark->floor()));
            }
        }

        return new Task($free->needs, $stock, $gives, $costs);
    }

    private static function kind(Kinds $kinds, int $place): int
    {
        return count($kinds->cards) + $place;
    }

    private static function offer(Question $question, Place $place): Purchase
    {
        $mark = LeastMark::of(self::asked($question->criterion, $place->writes), $place->buses());

        return new Purchase($place, $mark, self::usualSize($question, $place), 0);
    }

    /** By guarantee, only a guarantee will do. */
    private static function asked(FitCriterion $criterion, Mode $mode): Mode
    {
        $asks = $mode->demand;

        return $criterion === FitCriterion::Guaranteed ? $mode->asking(new Demand($asks->mark, true, $asks->form, true)) : $mode;
    }

    /** The size that most cards of the house have which go into that slot; of two, the greater. */
    private static function usualSize(Question $question, Place $place): Bytes
    {
        $sizes = [];
        foreach ($question->cards as $card) {
            if ($card->ability->label->settleIn($place->buses()) !== null) {
                $size = $card->ability->label->capacity->count;
                $sizes[$size] = ($sizes[$size] ?? 0) + 1;
            }
        }
        krsort($sizes);
        arsort($sizes);

        return Bytes::of(array_key_first($sizes) ?? self::SIZE * 1_000_000_000);
    }
}
