<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Offload\Decision;
use Tally\Offload\PlacedCard;
use Tally\Offload\Plan;
use Tally\Offload\PlanFile;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;
use Tally\Offload\Question\Verify;
use Tally\Offload\Search\Bound;
use Tally\Offload\Search\Sorted;
use Tally\Value\Values;
use Tests\Support\EveryOffload;
use Tests\Support\RandomOffload;

/** Plans, against worked instances, against everything that can be decided, and against known results of scheduling. */
final class PlanTest extends TestCase
{
    /** @return iterable<string, array{string, Goal}> instance with its best there is, found by searching everything */
    public static function cases(): iterable
    {
        foreach ((array) glob(dirname(__DIR__, 2).'/cases/offload/*.json') as $path) {
            foreach (Goal::cases() as $goal) {
                yield basename((string) $path, '.json')." {$goal->value}" => [(string) $path, $goal];
            }
        }
    }

    #[DataProvider('cases')]
    public function test_a_worked_decision_comes_to_what_it_says_and_the_plan_to_the_best(string $path, Goal $goal): void
    {
        $json = (string) file_get_contents($path);
        $question = PlanFile::read($json)->question;
        $answer = data_get(json_decode($json, true), "answer.{$goal->value}");
        self::assertIsArray($answer);
        self::assertIsNumeric($answer['value']);
        $figure = fn (Plan $plan): float => $goal->figures($plan->course->done, $plan->course->allFree(), $plan->course->hands)[0];
        $given = Plan::decided($question, $goal, self::decision((array) $answer['decision']));
        self::assertEqualsWithDelta($answer['value'], $figure($given), 1e-6 * $answer['value']);
        $plan = Plan::of($question, $goal);
        self::assertLessThanOrEqual(1.0001 * $answer['value'], $figure($plan));
        self::assertLessThanOrEqual(data_get(json_decode($json, true), 'best.safe'), $plan->bound);
        // From what is printed anybody reckons the same times again.
        $printed = json_decode((string) json_encode(Values::plain($plan)), true);
        self::assertIsArray($printed);
        $again = Plan::decided($question, $goal, self::decision($printed), $plan->bound);
        self::assertSame($printed, json_decode((string) json_encode(Values::plain($again)), true));
    }

    /** @param  array<mixed>  $decision */
    private static function decision(array $decision): Decision
    {
        return Values::read(Decision::class, $decision);
    }

    public function test_the_bound_is_never_above_the_best_there_is(): void
    {
        $gaps = [];
        for ($seed = 1; $seed <= 500; $seed++) {
            $question = RandomOffload::of(
                $seed,
                1 + ($seed % 2),
                1 + intdiv($seed, 2) % 2,
                1 + ($seed % 3 > 0 ? 1 : 0),
                isOpen: $seed % 5 === 0,
            );
            $best = EveryOffload::best($question, Goal::Safe);
            $bound = Bound::of(Sorted::question($question))->seconds;
            self::assertLessThanOrEqual($best * (1 + 1e-9), $bound, "seed {$seed}");
            $gaps[] = $best / $bound - 1;
        }
        sort($gaps);
        // It would be no bound worth the name if it were far below.
        self::assertLessThan(0.1, $gaps[250]);
    }

    /** @return iterable<string, array{int, int, int, int}> seed, cards, slots, drives */
    public static function small(): iterable
    {
        foreach ([[2, 2, 2], [3, 2, 2], [2, 3, 3]] as [$cards, $slots, $drives]) {
            for ($seed = 1; $seed <= 6; $seed++) {
                yield "{$cards} cards, {$slots} slots, {$drives} drives, {$seed}" => [$seed, $cards, $slots, $drives];
            }
        }
    }

    #[DataProvider('small')]
    public function test_a_small_plan_is_within_a_hundredth_of_the_best_there_is(int $seed, int $cards, int $slots, int $drives): void
    {
        $question = RandomOffload::of($seed, $cards, $slots, $drives, isOpen: $seed % 3 === 0);
        $goal = Goal::cases()[$seed % 3];
        $plan = Plan::of($question, $goal);
        $figure = $goal->figures($plan->course->done, $plan->course->allFree(), $plan->course->hands)[0];
        self::assertLessThanOrEqual(1.01 * EveryOffload::best($question, $goal), $figure);
    }

    /** Source: Graham, SIAM J. Appl. Math. 17 (1969): longest first gives 7 where 6 can be had. */
    public function test_three_three_two_two_two_on_two_slots_take_six(): void
    {
        $plan = Plan::of(self::onTwoSlots([3, 3, 2, 2, 2]));
        self::assertEqualsWithDelta(6.0, $plan->course->done, 1e-6);
        self::assertLessThanOrEqual(6.0, $plan->bound);
        self::assertGreaterThan(5.9, $plan->bound);
    }

    /** @param  list<int>  $seconds  that each card takes */
    private static function onTwoSlots(array $seconds): Question
    {
        return new Question(
            [new Host('Cart', [], [new Port('p1')])],
            [new Reader('R1', [new ReaderSlot('left', ['UHS-II' => 290e6]), new ReaderSlot('right', ['UHS-II' => 290e6])])],
            [new Drive('D1', 1e12, 1e12, inside: 'Cart')],
            array_map(
                fn (int $i): LadenCard => new LadenCard("C{$i}", 100e6 * $seconds[$i], 0, 100e6, buses: ['UHS-II']),
                array_keys($seconds),
            ),
            links: ['R1' => 'Cart p1'],
            rules: new Rules(1, Verify::None, null, 0.0, first: 0.0, overhead: 0.0),
        );
    }

    /** Two slots at 270 MB/s alone gave 453.8 MB/s together: 427 GB in 15:41. Common practice, no source. */
    public function test_two_slots_that_share_a_link(): void
    {
        $cards = array_map(fn (int $i): LadenCard => new LadenCard("C{$i}", 213.5e9, 0, 270e6, buses: ['UHS-II']), [1, 2]);
        $question = new Question(
            [new Host('Cart', [], [new Port('p1')])],
            [new Reader('R1', [new ReaderSlot('left', ['UHS-II' => 290e6]), new ReaderSlot('right', ['UHS-II' => 290e6])], [], 453.8e6)],
            [new Drive('D1', 2e9, 2e9, inside: 'Cart')],
            $cards,
            links: ['R1' => 'Cart p1'],
            rules: new Rules(1, Verify::None, null, 0.0, first: 0.0, overhead: 0.0),
        );
        self::assertEqualsWithDelta(15 * 60 + 41, Plan::of($question)->course->done, 0.5);
    }

    public function test_every_byte_of_every_card_arrives_in_every_copy(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            $question = RandomOffload::of($seed, 5, 3, 3);
            $plan = Plan::of($question, Goal::Safe, 0.02);
            $written = $read = [];
            foreach ($plan->course->stretches as $stretch) {
                foreach ($stretch->writes as $drive) {
                    $key = $plan->decision->cards[$stretch->placement]->tag." {$question->drives[$drive]->name}";
                    $written[$key] = ($written[$key] ?? 0.0) + $stretch->bytes;
                }
                $read[] = $stretch->until - $stretch->since;
            }
            self::assertGreaterThanOrEqual(0.0, min(INF, ...$read));
            $expected = [];
            foreach ($plan->decision->cards as $card) {
                $tags = array_map(fn (LadenCard $one): string => $one->tag, $question->cards);
                $bytes = $question->cards[(int) array_search($card->tag, $tags, true)]->bytes;
                foreach ($card->drives as $drive) {
                    $expected["{$card->tag} {$drive}"] = $bytes;
                }
            }
            ksort($written);
            ksort($expected);
            self::assertSame($expected, $written, "seed {$seed}");
            self::assertCount(5 * $question->rules->copies, $expected);
        }
    }

    public function test_the_order_in_which_it_was_asked_changes_no_plan(): void
    {
        for ($seed = 1; $seed <= 12; $seed++) {
            $asked = RandomOffload::of($seed, 5, 3, 3, isOpen: true);
            $other = new Question(
                $asked->hosts,
                array_reverse($asked->readers),
                array_reverse($asked->drives),
                array_reverse($asked->cards),
                links: array_reverse($asked->links, true),
                rules: $asked->rules,
            );
            [$one, $two] = [
                (array) Values::plain(Plan::of($asked, Goal::Safe, 0.03)),
                (array) Values::plain(Plan::of($other, Goal::Safe, 0.03)),
            ];
            self::assertEquals($one['cards'], $two['cards'], "seed {$seed}");
            self::assertEquals($one['links'], $two['links'], "seed {$seed}");
        }
    }

    public function test_the_same_question_gives_the_same_plan(): void
    {
        $question = RandomOffload::of(3, 8, 4, 3, isOpen: true);
        self::assertEquals((array) Values::plain(Plan::of($question)), (array) Values::plain(Plan::of($question)));
    }

    public function test_one_card_more_is_never_done_sooner(): void
    {
        for ($seed = 1; $seed <= 30; $seed++) {
            $question = RandomOffload::of($seed, 3, 2, 2);
            $fewer = $question->withCards(array_slice($question->cards, 0, 2));
            self::assertGreaterThanOrEqual(
                EveryOffload::best($fewer, Goal::Safe) - 1e-6,
                Plan::of($question)->course->done,
                "seed {$seed}",
            );
        }
    }

    public function test_what_goals_there_are_is_what_is_least(): void
    {
        $question = RandomOffload::of(11, 6, 2, 3);
        [$safe, $free, $hands] = array_map(fn (Goal $goal): Plan => Plan::of($question, $goal), Goal::cases());
        self::assertLessThanOrEqual($free->course->done + 1e-6, $safe->course->done);
        self::assertLessThanOrEqual($safe->course->allFree() + 1e-6, $free->course->allFree());
        self::assertLessThanOrEqual($safe->course->hands, $hands->course->hands);
    }

    public function test_no_scheme_but_straight_makes_one_copy(): void
    {
        $plan = Plan::of(self::onTwoSlots([3, 2]));
        $schemes = array_map(fn (PlacedCard $card): Scheme => $card->scheme, $plan->decision->cards);
        self::assertSame([Scheme::Straight, Scheme::Straight], $schemes);
        self::assertSame([], $plan->course->clear, 'one copy clears no card');
    }
}
