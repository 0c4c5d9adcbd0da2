<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Offload\Plan;
use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\DriveKind;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;
use Tally\Offload\Reckon\Reckoner;
use Tally\Offload\Search\Board;
use Tally\Offload\Search\Cabling;
use Tally\Offload\Search\Estimate;
use Tally\Offload\Search\Sketch;
use Tally\Offload\Search\Sorted;
use Tally\Offload\Search\Start;
use Tests\Support\EveryOffload;
use Tests\Support\RandomOffload;

/** Decisions weighed by estimate, and what is found that way where there are several hosts. */
final class SketchTest extends TestCase
{
    /** With one card, nothing has to wait: the estimate's longest part is the card's own way. */
    public function test_of_one_card_the_estimate_is_near_what_is_reckoned(): void
    {
        for ($seed = 1; $seed <= 30; $seed++) {
            $question = Sorted::question(RandomOffload::of($seed, 1, 2, 3));
            $board = new Board($question, $question->links);
            foreach (Start::states($board) as $state) {
                $done = Reckoner::figures($board->network, $board->placements($state))->done;
                $estimate = (new Estimate($question, Goal::Safe))->of($state->links, $state->slots, $state->ways);
                self::assertGreaterThan(0.6 * $done, $estimate);
                self::assertLessThan(1.6 * $done, $estimate);
            }
        }
    }

    public function test_a_drive_without_room_is_no_choice(): void
    {
        $question = new Question(
            [new Host('Cart', [], [new Port('p1')])],
            [new Reader('R1', [new ReaderSlot('left', ['UHS-I' => 90e6])])],
            [new Drive('D1', 1e8, 1e8, 10e9, inside: 'Cart')],
            [new LadenCard('C1', 11e9, 0, 80e6, buses: ['UHS-I'])],
            links: ['R1' => 'Cart p1'],
            rules: new Rules(1),
        );
        $estimate = new Estimate($question, Goal::Safe);
        self::assertSame(INF, $estimate->of($question->links, [0 => 0], [0 => [Scheme::Straight, [0]]]));
    }

    public function test_a_sketch_can_be_carried_out_and_is_the_same_every_time(): void
    {
        $tried = 0;
        for ($seed = 1; $seed <= 25; $seed++) {
            $question = Sorted::question(RandomOffload::of($seed, 5, 4, 4, isOpen: true));
            foreach (Cabling::beginnings($question) as $links) {
                foreach (array_slice(Start::states(new Board($question, $links)), 0, 1) as $state) {
                    $sketch = fn (): array => (new Sketch($question, Goal::Safe))->from($state, 200, new Randomizer(new Mt19937($seed)));
                    foreach ($sketch() as $one) {
                        $board = new Board($question, $one->links);
                        self::assertSame(array_unique($one->links), $one->links, 'one thing in one port');
                        $ordered = Start::ordered($board, $one->slots, $one->ways);
                        self::assertNotNull($ordered);
                        foreach ($one->slots as $card => $slot) {
                            self::assertContains($slot, $board->slots[$card]);
                            self::assertContains($one->ways[$card], $board->waysAt($slot));
                        }
                        $tried++;
                    }
                    self::assertEquals($sketch(), $sketch());
                }
            }
        }
        self::assertGreaterThan(20, $tried);
    }

    /** Two hosts with everything to be plugged in, against a search of everything. */
    public function test_with_two_hosts_small_plans_are_within_a_hundredth_of_the_best(): void
    {
        for ($seed = 1; $seed <= 4; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $rate = fn (int $from, int $to): float => 1e6 * $chance->getInt($from, $to);
            $host = fn (string $name): Host => new Host(
                $name,
                [new Controller('A', $rate(400, 2000))],
                [new Port('p1', 'A', $rate(400, 1000)), new Port('p2', 'A', $rate(400, 1000))],
            );
            $question = new Question(
                [$host('Cart'), $host('Desk')],
                [
                    new Reader('R1', [new ReaderSlot('slot', ['UHS-I' => 95e6, 'UHS-II' => 290e6])], [], 450e6),
                    new Reader('R2', [new ReaderSlot('slot', ['UHS-I' => 150e6])], [], 450e6),
                ],
                [
                    new Drive('D1', $rate(100, 900), $rate(300, 900), link: 1e9),
                    new Drive('D2', $rate(100, 900), $rate(300, 900), kind: DriveKind::Spinning, link: 1e9),
                    new Drive('D3', $rate(100, 900), $rate(300, 900), inside: $seed % 2 === 0 ? 'Cart' : 'Desk'),
                ],
                [
                    new LadenCard('C1', 1e9 * $chance->getInt(10, 150), 200, $rate(70, 260), buses: ['UHS-I', 'UHS-II']),
                    new LadenCard('C2', 1e9 * $chance->getInt(10, 150), 900, $rate(70, 160), buses: ['UHS-I']),
                ],
                links: [],
                rules: new Rules(2),
            );
            foreach ([Goal::Safe, Goal::Free] as $goal) {
                $plan = Plan::of($question, $goal);
                $figure = $goal->figures($plan->course->done, $plan->course->allFree(), $plan->course->hands)[0];
                self::assertLessThanOrEqual(1.01 * EveryOffload::best(Sorted::question($question), $goal), $figure);
            }
        }
    }

    /** The card that takes longest reads twice as fast in a reader that would have to come to the other host. */
    public function test_a_reader_is_brought_to_the_host_where_it_is_needed(): void
    {
        $port = fn (string $name): Port => new Port($name, null, 1e9);
        $slow = new LadenCard('C1', 100e9, 0, 85e6, buses: ['UHS-I', 'UHS-I double'], readIn: ['R1' => 85e6, 'R2' => 160e6]);
        $question = new Question(
            [new Host('Cart', [], [$port('p1'), $port('p2'), $port('p3')]), new Host('Desk', [], [$port('p1'), $port('p2')])],
            [
                new Reader('R1', [new ReaderSlot('slot', ['UHS-I' => 90e6])], [], 400e6),
                new Reader('R2', [new ReaderSlot('slot', ['UHS-I double' => 170e6])], [], 400e6),
                new Reader('R3', [new ReaderSlot('slot', ['CFexpress' => 800e6])], [], 900e6),
            ],
            [
                new Drive('D1', 900e6, 900e6, link: 1e9),
                new Drive('D2', 900e6, 900e6, inside: 'Cart'),
                new Drive('D3', 90e6, 90e6, inside: 'Desk'),
                new Drive('D4', 90e6, 90e6, inside: 'Desk'),
            ],
            [$slow, new LadenCard('C2', 200e9, 0, 700e6, buses: ['CFexpress'])],
            links: [],
            rules: new Rules(2),
        );
        $plan = Plan::of($question);
        $slots = array_column(array_map(fn ($card): array => [$card->tag, $card->slot], $plan->decision->cards), 1, 0);
        self::assertSame('R2 slot', $slots['C1'] ?? null);
        self::assertStringStartsWith('Cart ', $plan->decision->links['R2'] ?? '');
    }
}
