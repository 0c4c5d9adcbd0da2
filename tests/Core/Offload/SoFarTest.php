<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use PHPUnit\Framework\TestCase;
use Tally\Offload\Plan;
use Tally\Offload\Question\Goal;
use Tally\Offload\Reckon\Reckoner;
use Tally\Offload\Reckon\SoFar;
use Tests\Support\RandomOffload;

/** What happened so far and goes on by the plan comes out as the plan, where it went as planned. */
final class SoFarTest extends TestCase
{
    public function test_as_planned_until_some_card_was_in_it_is_done_as_planned(): void
    {
        $checked = 0;
        for ($seed = 1; $seed <= 40; $seed++) {
            $plan = Plan::of(RandomOffload::of($seed, 4, 3, 3), Goal::Safe, 0.02);
            $course = $plan->course;
            foreach ($course->in as $now) {
                // One pair of hands: whoever put that card in takes the next just then.
                if ($plan->question->rules->hands > 1) {
                    continue;
                }
                $in = array_filter($course->in, fn (float $at): bool => $at <= $now);
                $again = Reckoner::onFrom($course->network, $course->placements, new SoFar($in, $now));
                self::assertEqualsWithDelta($course->done, $again->done, 1e-3, "seed {$seed}, {$now} s");
                self::assertEqualsWithDelta($course->allFree(), $again->allFree(), 1e-3);
                self::assertNotNull($again->going);
                foreach ($again->going as $going) {
                    self::assertLessThanOrEqual($now + 1e-6, $going->since);
                    self::assertLessThanOrEqual($plan->question->cards[$course->placements[$going->placement]->card]->bytes, $going->bytes);
                }
                $checked++;
            }
        }
        self::assertGreaterThan(60, $checked);
    }

    public function test_hands_that_came_late_make_it_late_by_as_much_at_the_most(): void
    {
        $plan = Plan::of(RandomOffload::of(7, 4, 3, 3), Goal::Safe, 0.02);
        $late = Reckoner::onFrom($plan->course->network, $plan->course->placements, new SoFar([], 300.0));
        self::assertEqualsWithDelta($plan->course->done + 300.0, $late->done, 1e-3);
        self::assertSame([], $late->going ?? []);
    }
}
