<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Shoot\FitCard;
use Tally\Shoot\Handout\Search;

/** Which card goes where on a whole shoot, each once; what is missing, and the least that would have to be bought. */
final readonly class Packing
{
    /**
     * @param  list<PackedPlace>  $places
     * @param  list<FitCard>  $left  cards that stay at home
     * @param  int  $couldSave  minutes that some other way might save, at the most; 0 where this is proven to miss the least
     * @param  bool  $isBest  whether no cheaper way is proven to exist
     * @param  list<Purchase>  $buys
     */
    private function __construct(
        public Question $question,
        public array $places,
        public array $left,
        public int $couldSave,
        public bool $isBest,
        public array $buys,
    ) {}

    public static function of(Question $question, int $looks = Search::LOOKS): self
    {
        $places = $question->places();
        $kinds = new Kinds($question, $places);
        [$missing, $cost] = Search::best($kinds->task, $looks);
        $packed = [];
        $left = $kinds->cards;
        foreach ($places as $at => $place) {
            $taken = [];
            foreach ($cost->taken[$at] as $kind => $count) {
                array_push($taken, ...array_splice($left[$kind], 0, $count));
            }
            $packed[] = new PackedPlace($place, self::inOrder($question, $place, $taken));
        }
        $used = array_merge([], ...array_map(fn (PackedPlace $one): array => $one->cards, $packed));
        $tags = array_map(fn (PackedCard $one): string => $one->tag, $used);

        return new self(
            $question,
            $packed,
            array_values(array_filter($question->cards, fn (FitCard $card): bool => ! in_array($card->tag, $tags, true))),
            (int) ceil(($missing->value - $missing->least) / $kinds->minute()),
            isBest: $missing->isProven() && $cost->isProven(),
            buys: $missing->value === 0 ? [] : Shopping::of($question, $kinds, $packed, intdiv($looks, 3)),
        );
    }

    /**
     * One that was kept, as it was decided.
     *
     * @param  list<list<PackedCard>>  $cards  of each place of the question
     */
    public static function kept(Question $question, array $cards): self
    {
        $places = [];
        foreach ($question->places() as $at => $place) {
            $places[] = new PackedPlace($place, $cards[$at] ?? []);
        }

        return new self($question, $places, [], 0, isBest: true, buys: []);
    }

    /**
     * The proven first, then those that hold most: fewest changes.
     *
     * @param  list<FitCard>  $cards
     * @return list<PackedCard>
     */
    private static function inOrder(Question $question, Place $place, array $cards): array
    {
        $rank = fn (FitCard $card): array => [$card->ability->proven === null, -$card->ability->capacity()->count, $card->tag];
        usort($cards, fn (FitCard $a, FitCard $b): int => $rank($a) <=> $rank($b));
        $packed = [];
        foreach ($cards as $turn => $card) {
            $said = $place->asks($question->margin)->by($question->criterion, $card->ability)->words();
            $packed[] = new PackedCard(
                $card->tag,
                $place->slotFor($card->ability, $turn),
                $place->count->on($card->ability->capacity(), $question->usable),
                $card->ability->capacity(),
                isProven: $card->ability->proven !== null,
                words: implode(', ', array_filter([$said, $card->remark], fn (string $words): bool => $words !== '')),
            );
        }

        return $packed;
    }

    /** Whether it is the best there is, in a sentence. */
    public function words(): string
    {
        return match (true) {
            $this->couldSave > 0 => "The best that was found; another way might save {$this->couldSave} min at the most.",
            ! $this->isBest => 'Nothing less can be missing; another way might keep a better card free.',
            default => 'No other way misses less or spends less on it.',
        };
    }
}
