<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Quantity\Rate;
use Tally\Shoot\FitCard;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\Handout\Task;

/**
 * What each card gives to each place and costs it, and which cards are alike in all of them. A card costs 1, and 1 for every step of
 * the ladder that it is better than the place asks, so that fast cards stay for hard work; one that was not proven whole costs 3
 * for each step of hardness of the place, so that the best-proven go where it is hardest. The weights are chosen, no source.
 */
final readonly class Kinds
{
    private const CARD = 1;

    private const STEP = 1;

    private const DOUBT = 3;

    /** @var array<int, non-empty-list<FitCard>> kind → cards, those that hold most first */
    public array $cards;

    public Task $task;

    /** @param  list<Place>  $places */
    public function __construct(private Question $question, private array $places)
    {
        $alike = [];
        foreach ($question->cards as $card) {
            $gives = $costs = [];
            foreach ($places as $at => $place) {
                $gives[$at] = $this->counts($card, $place) * $this->points($place);
                $costs[$at] = $gives[$at] === 0 ? 0 : $this->cost($card, $place);
            }
            if (max([0, ...$gives]) > 0) {
                $key = implode(' ', [...$gives, ...$costs]);
                $alike[$key] = [$gives, $costs, [...$alike[$key][2] ?? [], $card]];
            }
        }
        $stock = $gives = $costs = $cards = [];
        foreach (array_values($alike) as $kind => [$given, $cost, $of]) {
            usort($of, fn (FitCard $a, FitCard $b): int => $b->ability->capacity()->count <=> $a->ability->capacity()->count);
            $cards[$kind] = $of;
            $stock[$kind] = count($of);
            foreach (array_keys($places) as $at) {
                $gives[$at][$kind] = $given[$at];
                $costs[$at][$kind] = $cost[$at];
            }
        }
        $this->cards = $cards;
        $needs = array_map(fn (Place $place): int => $place->need * $this->points($place), $places);
        $none = array_map(fn (): array => [], $needs);
        $this->task = new Task($needs, $stock, $gives + $none, $costs + $none);
    }

    /** Seconds or shots that a card gives a place; of a spare, itself; 0 where it may not go there. */
    public function counts(FitCard $card, Place $place): int
    {
        if (! $place->asks($this->question->margin)->by($this->question->criterion, $card->ability)->isYes()) {
            return 0;
        }

        return $place->isSpare() ? 1 : $place->count->on($card->ability->capacity(), $this->question->usable);
    }

    /** What a second, a shot or a spare weighs where it is missing: all spares together less than one second of recording. */
    public function points(Place $place): int
    {
        return $place->isSpare() ? 1 : intdiv($this->minute(), 60) * $place->count->weight();
    }

    /** What a minute weighs. */
    public function minute(): int
    {
        return 60 * (1 + count(array_filter($this->places, fn (Place $one): bool => $one->isSpare())));
    }

    private function cost(FitCard $card, Place $place): int
    {
        $isMeasured = $this->question->criterion === FitCriterion::Measured;
        $need = $isMeasured ? $place->asks($this->question->margin)->need() : $place->rate();
        $above = Ladder::above($card->ability, $need);
        $doubt = $card->ability->proven === null ? $this->hardness($place->rate()) : 0;

        return self::CARD + self::STEP * $above + self::DOUBT * $doubt;
    }

    /** 1 of the place that writes least, and 1 more for each rate above. */
    private function hardness(Rate $rate): int
    {
        $below = [];
        foreach ($this->places as $place) {
            if ($place->rate()->isBelow($rate)) {
                $below[(string) $place->rate()->bytesPerSecond] = true;
            }
        }

        return 1 + count($below);
    }
}
