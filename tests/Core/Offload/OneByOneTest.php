<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use PHPUnit\Framework\TestCase;
use Tally\Offload\OneByOne;
use Tally\Offload\Plan;
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
use Tally\Offload\Without;
use Tests\Support\RandomOffload;

/** What cards take one at a time, and what a plan without some piece of kit would have been: by hand, and as bounds on random ones. */
final class OneByOneTest extends TestCase
{
    private static function question(Rules $rules): Question
    {
        $sd = ['UHS-II' => 290e6];
        $cards = array_map(fn (int $i): LadenCard => new LadenCard("C{$i}", 100e9, 0, 250e6, buses: ['UHS-II']), range(1, 4));

        return new Question(
            [new Host('Cart', [], [new Port('p1', null, 1050e6), new Port('p2', null, 1050e6)])],
            [new Reader('R1', [new ReaderSlot('left', $sd)], [], 900e6), new Reader('R2', [new ReaderSlot('left', $sd)], [], 900e6)],
            [new Drive('D1', 2000e6, 2000e6, inside: 'Cart'), new Drive('D2', 2000e6, 2000e6, inside: 'Cart')],
            $cards,
            links: ['R1' => 'Cart p1', 'R2' => 'Cart p2'],
            rules: $rules,
        );
    }

    public function test_one_card_at_a_time_is_the_sum_of_all_of_them(): void
    {
        $plan = Plan::of(self::question(new Rules(1, swap: 25.0, first: 10.0, overhead: 0.0)));
        // 10 s to put the first one in, 25 for each swap; each 100 GB at 250 MB/s, read back from the drive at 2,000 MB/s.
        self::assertEqualsWithDelta(10 + 3 * 25 + 4 * (400 + 50), OneByOne::seconds($plan), 0.01);
        self::assertEqualsWithDelta(1885 - $plan->course->done, OneByOne::saved($plan), 0.01);
        self::assertGreaterThan(800.0, OneByOne::saved($plan));
    }

    public function test_a_second_reader_is_worth_what_the_best_plan_without_it_takes_longer(): void
    {
        $question = self::question(new Rules(1, swap: 25.0, first: 10.0, overhead: 0.0));
        $without = Without::seconds($question, Goal::Safe, 'R2');
        // One after the other through one slot, each in it until its copy was read back: 10 s, three swaps, four times 450 s.
        self::assertEqualsWithDelta(10 + 3 * 25 + 4 * (400 + 50), $without ?? 0.0, 0.01);
        self::assertNull(Without::seconds($question, Goal::Safe, 'R9'), 'it is not there at all');
        $twice = self::question(new Rules(2));
        self::assertNull(Without::seconds($twice, Goal::Safe, 'D2'), 'two copies need two drives');
    }

    public function test_no_plan_of_random_ones_is_sooner_without_a_piece_and_none_that_is_straight_saves_less_than_nothing(): void
    {
        for ($seed = 1; $seed <= 12; $seed++) {
            $question = RandomOffload::of($seed, 3, 2, 3);
            $plan = Plan::of($question);
            self::assertGreaterThanOrEqual(0.0, OneByOne::saved($plan), "seed {$seed}");
            foreach ($question->readers as $reader) {
                $without = Without::seconds($question, Goal::Safe, $reader->name);
                self::assertTrue($without === null || $without >= $plan->bound - 1e-6, "seed {$seed}, {$reader->name}");
            }
            if (array_filter($plan->decision->cards, fn ($card): bool => $card->scheme !== Scheme::Straight) === []) {
                self::assertGreaterThanOrEqual($plan->course->done - 1e-6, OneByOne::seconds($plan), "seed {$seed}");
            }
        }
    }
}
