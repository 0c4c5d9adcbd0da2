<?php

declare(strict_types=1);

namespace Tests\Property;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Tally\Offload\Plan;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tests\Support\RandomOffload;

/** What must hold of plans whatever the gear, drawn by eris. */
final class OffloadPropertiesTest extends TestCase
{
    use TestTrait;

    /**
     * A faster link can make a plan later, by what a search of 0.1 s leaves and by what fair sharing takes away from others: of 600
     * tried 4 were later, by 1.3 % at the most.
     */
    private const SLACK = 1.02;

    protected function setUp(): void
    {
        $this->seed = 20_261_126;
        $this->limitTo(25);
    }

    public function test_a_faster_link_makes_no_plan_later(): void
    {
        $this->forAll(Generators::choose(1, 5000), Generators::elements('uplink', 'drive'), Generators::choose(11, 40))->then(function (
            int $seed,
            string $link,
            int $tenths,
        ): void {
            $question = RandomOffload::of($seed, 3, 2, 2);
            $faster = self::faster($question, $link, $tenths / 10);
            $before = Plan::of($question, Goal::Safe, 0.1)->course->done;
            self::assertLessThanOrEqual(self::SLACK * $before, Plan::of($faster, Goal::Safe, 0.1)->course->done);
        });
    }

    private static function faster(Question $question, string $link, float $times): Question
    {
        $drive = fn (Drive $one): Drive => new Drive(
            $one->name,
            $times * $one->write,
            $times * $one->read,
            $one->free,
            cache: $one->cache,
            fast: $times * $one->fast,
            kind: $one->kind,
            inside: $one->inside,
            link: $one->link,
        );

        $reader = fn (Reader $one): Reader => new Reader($one->name, $one->slots, $one->lanes, $times * $one->uplink);

        return new Question(
            $question->hosts,
            $link === 'uplink' ? array_map($reader, $question->readers) : $question->readers,
            $link === 'drive' ? [$drive($question->drives[0]), ...array_slice($question->drives, 1)] : $question->drives,
            $question->cards,
            links: $question->links,
            rules: $question->rules,
        );
    }

    public function test_times_of_a_card_come_in_their_order_and_nothing_is_done_before_the_bound(): void
    {
        [$cards, $slots, $drives] = [Generators::choose(1, 6), Generators::choose(1, 4), Generators::choose(2, 4)];
        $this->forAll(Generators::choose(1, 5000), $cards, $slots, $drives)->then(function (
            int $seed,
            int $cards,
            int $slots,
            int $drives,
        ): void {
            $plan = Plan::of(RandomOffload::of($seed, $cards, $slots, $drives, isOpen: $seed % 2 === 0), Goal::Safe, 0.02);
            self::assertLessThanOrEqual($plan->course->done * (1 + 1e-9), $plan->bound);
            foreach (array_keys($plan->decision->cards) as $at) {
                $times = [$plan->course->in[$at], $plan->course->free[$at], $plan->course->safe[$at], $plan->course->done];
                $sorted = $times;
                sort($sorted);
                self::assertSame($sorted, $times);
                self::assertLessThanOrEqual($plan->course->safe[$at], $plan->course->clear[$at] ?? 0.0);
            }
            $at = array_map(fn ($event): float => $event->at, $plan->course->events);
            $inOrder = $at;
            sort($inOrder);
            self::assertSame($inOrder, $at, 'events come in the order of their time');
        });
    }
}
