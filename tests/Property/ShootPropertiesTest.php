<?php

declare(strict_types=1);

namespace Tests\Property;

use PHPUnit\Framework\TestCase;
use Tally\Shoot\FitCard;
use Tally\Shoot\Whole\Count;
use Tally\Shoot\Whole\Evening;
use Tally\Shoot\Whole\Kinds;
use Tally\Shoot\Whole\PackedCard;
use Tally\Shoot\Whole\PackedPlace;
use Tally\Shoot\Whole\Packing;
use Tally\Shoot\Whole\Question;
use Tally\Shoot\Whole\Wanted;
use Tests\Support\RandomShoot;

/** What must hold of every shoot and every house of cards, whatever they are. */
final class ShootPropertiesTest extends TestCase
{
    /** @return iterable<int, array{Question, Packing}> */
    private static function shoots(int $count): iterable
    {
        for ($seed = 1; $seed <= $count; $seed++) {
            $question = RandomShoot::of(1000 + $seed, 3 + $seed % 9, 1 + $seed % 4, [0.2, 0.6, 1.1][$seed % 3]);
            yield $seed => [$question, Packing::of($question)];
        }
    }

    /** @return list<PackedCard> */
    private static function packed(Packing $packing): array
    {
        return array_merge([], ...array_map(fn (PackedPlace $one): array => $one->cards, $packing->places));
    }

    private static function missing(Packing $packing): int
    {
        $kinds = new Kinds($packing->question, $packing->question->places());

        return array_sum(array_map(fn (PackedPlace $one): int => $one->missing() * $kinds->points($one->place), $packing->places));
    }

    public function test_each_card_goes_once_and_only_where_it_may(): void
    {
        foreach (self::shoots(80) as $seed => [$question, $packing]) {
            $tags = array_map(fn (PackedCard $card): string => $card->tag, self::packed($packing));
            self::assertSame(array_values(array_unique($tags)), $tags, "seed {$seed}");
            $left = array_map(fn (FitCard $card): string => $card->tag, $packing->left);
            self::assertEqualsCanonicalizing(
                array_map(fn (FitCard $card): string => $card->tag, $question->cards),
                [...$tags, ...$left],
            );
            $byTag = array_column($question->cards, null, 'tag');
            foreach ($packing->places as $one) {
                foreach ($one->cards as $card) {
                    $may = $one->place->asks($question->margin)->by($question->criterion, $byTag[$card->tag]->ability);
                    self::assertTrue($may->isYes(), "seed {$seed}: {$card->tag} in {$one->place->name()}");
                    self::assertNotSame('', $card->slot);
                }
            }
        }
    }

    public function test_no_card_is_taken_for_nothing(): void
    {
        foreach (self::shoots(80) as $seed => [, $packing]) {
            foreach ($packing->places as $one) {
                foreach ($one->cards as $at => $card) {
                    $others = $one->place->isSpare() ? count($one->cards) - 1 : $one->count() - $card->count;
                    self::assertLessThan($one->place->need, $others, "seed {$seed}, {$one->place->name()}, card {$at}");
                }
            }
        }
    }

    public function test_one_card_more_never_leaves_more_missing_and_one_wish_more_never_less(): void
    {
        foreach (self::shoots(40) as $seed => [$question, $packing]) {
            $missing = self::missing($packing);
            $fewer = self::with($question, array_slice($question->cards, 1), $question->wanted);
            self::assertGreaterThanOrEqual($missing, self::missing($fewer), "seed {$seed}");
            $first = $question->wanted[0];
            $longer = new Wanted($first->camera, $first->mode, $first->daily * 2, $first->days, hasSpare: $first->hasSpare);
            $more = self::with($question, $question->cards, [$longer, ...array_slice($question->wanted, 1)]);
            self::assertGreaterThanOrEqual($missing, self::missing($more), "seed {$seed}");
        }
    }

    /**
     * @param  list<FitCard>  $cards
     * @param  list<Wanted>  $wanted
     */
    private static function with(Question $question, array $cards, array $wanted): Packing
    {
        return Packing::of(
            new Question($question->days, $question->home, $question->extra, $wanted, cards: $cards, criterion: $question->criterion),
        );
    }

    public function test_what_is_to_be_bought_is_enough_wherever_a_mark_promises_as_much(): void
    {
        foreach (self::shoots(40) as $seed => [, $packing]) {
            if (self::missing($packing) === 0) {
                self::assertSame([], $packing->buys);

                continue;
            }
            self::assertNotSame([], $packing->buys, "seed {$seed}");
            foreach ($packing->buys as $buy) {
                self::assertTrue($buy->mark === null || $buy->cards > 0, "seed {$seed}");
            }
        }
    }

    public function test_evenings_hold_what_is_recorded_and_no_card_more_than_it_can(): void
    {
        foreach (self::shoots(60) as $seed => [$question, $packing]) {
            $capacity = array_column(
                array_map(fn (FitCard $card): array => [$card->tag, $card->ability->capacity()->count], $question->cards),
                1,
                0,
            );
            $spares = [];
            foreach ($packing->places as $one) {
                $tags = array_map(fn (PackedCard $card): string => $card->tag, $one->cards);
                $spares = $one->place->isSpare() ? [...$spares, ...$tags] : $spares;
            }
            foreach (Evening::of($packing) as $evening) {
                foreach ($evening->cards as $tag => $on) {
                    self::assertLessThanOrEqual($capacity[strval($tag)] ?? 0, $on->count, "seed {$seed}");
                    self::assertNotContains($tag, $spares);
                }
            }
            if (self::missing($packing) === 0) {
                $recorded = 0.0;
                foreach ($packing->places as $one) {
                    $recorded += $one->place->isSpare() ? 0 : $one->place->count->bytes($one->place->wanted->daily)->count;
                }
                $on = array_sum(array_map(fn ($size): int => $size->count, Evening::of($packing)[0]->cards));
                // A card is full at its last byte, its minutes are to the nearest.
                self::assertEqualsWithDelta($recorded, $on, $recorded * 0.03 + 1e9, "seed {$seed}");
            }
        }
    }

    public function test_the_same_question_has_the_same_answer(): void
    {
        foreach (self::shoots(10) as [$question, $packing]) {
            self::assertEquals($packing, Packing::of($question));
        }
    }

    public function test_counts_go_with_capacity_and_never_promise_less_than_is_asked(): void
    {
        foreach (self::shoots(30) as [$question]) {
            foreach ($question->wanted as $wanted) {
                $count = Count::of($wanted->mode);
                $card = $question->cards[0]->ability->capacity();
                self::assertGreaterThanOrEqual($count->on($card, 0.5), $count->on($card, 1.0));
                self::assertGreaterThanOrEqual($wanted->daily, $wanted->mostBetween(1, 0.0));
                self::assertGreaterThanOrEqual($wanted->mostBetween(1, 0.0), $wanted->mostBetween(3, 0.5));
            }
        }
    }
}
