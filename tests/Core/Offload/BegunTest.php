<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use PHPUnit\Framework\TestCase;
use Tally\Offload\Decision;
use Tally\Offload\PlacedCard;
use Tally\Offload\Plan;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Question;
use Tally\Offload\Reckon\Reckoner;
use Tally\Offload\Reckon\SoFar;
use Tally\Offload\Search\Begun;
use Tests\Support\RandomOffload;

/** The rest of an offload is planned beside what goes on already. */
final class BegunTest extends TestCase
{
    private const SEARCH = 0.05;

    public function test_it_is_never_later_than_before_or_than_a_plan_that_does_not_know_of_it_and_often_sooner(): void
    {
        $sooner = 0;
        for ($seed = 1; $seed <= 40; $seed++) {
            $plan = Plan::of(RandomOffload::of($seed, 6, 3, 4), Goal::Safe, 0.02);
            // What goes onto the drive of the first card goes at a third of what was reckoned with.
            $really = self::slower($plan->question, $plan->decision->cards[0]->drives[0]);
            [$rest, $begun, $waiting] = self::split($really, $plan->decision, [$plan->course->in[0]], $plan->course->in[0] + 1.0);
            $blind = Plan::of($rest, Goal::Safe, self::SEARCH)->decision;
            $seeing = Plan::ofRest($rest, Goal::Safe, self::SEARCH, $begun, known: $waiting);
            self::assertNotNull($seeing, "seed {$seed}");
            self::assertSameSize($waiting->cards, $seeing->cards);
            $done = fn (Decision $one): float => self::done($really, $begun, $one);
            [$before, $without, $with] = array_map($done, [$waiting, $blind, $seeing]);
            self::assertLessThanOrEqual($before + 1e-3, $with, "seed {$seed}: later than what was decided");
            self::assertLessThanOrEqual($without * 1.02, $with, "seed {$seed}: later than a plan that does not know");
            $sooner += $with < $without - 1.0 ? 1 : 0;
        }
        self::assertGreaterThan(8, $sooner);
    }

    public function test_where_a_card_that_waits_cannot_be_planned_nothing_is_decided(): void
    {
        $plan = Plan::of(RandomOffload::of(3, 4, 3, 3), Goal::Safe, 0.02);
        [$rest, $begun, $waiting] = self::split($plan->question, $plan->decision, [$plan->course->in[0]], $plan->course->in[0] + 1.0);
        $full = new Question(
            $rest->hosts,
            $rest->readers,
            array_map(fn (Drive $drive): Drive => $drive->with(free: 1.0), $rest->drives),
            $rest->cards,
            links: $rest->links,
            rules: $rest->rules,
        );
        self::assertNull(Plan::ofRest($full, Goal::Safe, self::SEARCH, $begun, known: $waiting));
        self::assertNull(Plan::ofRest($rest->withCards([]), Goal::Safe, self::SEARCH, $begun, known: $waiting));
    }

    private static function slower(Question $question, string $drive): Question
    {
        $drives = array_map(
            fn (Drive $one): Drive => $one->name === $drive ? new Drive(
                $one->name,
                $one->write / 3,
                $one->read / 3,
                $one->free,
                cache: $one->cache,
                fast: $one->fast / 3,
                kind: $one->kind,
                inside: $one->inside,
                link: $one->link,
            ) : $one,
            $question->drives,
        );

        return new Question(
            $question->hosts,
            $question->readers,
            $drives,
            $question->cards,
            links: $question->links,
            rules: $question->rules,
        );
    }

    /**
     * @param  list<float>  $in  when the first cards were in, by place; seconds
     * @return array{Question, Begun, Decision} the rest, what is under way, and what was decided for the rest
     */
    private static function split(Question $question, Decision $decision, array $in, float $now): array
    {
        $placed = array_intersect_key($decision->cards, $in);
        $tags = array_map(fn (PlacedCard $card): string => $card->tag, $placed);
        $waits = fn (LadenCard|PlacedCard $card): bool => ! in_array($card->tag, $tags, true);
        $laden = array_values(array_filter($question->cards, fn (LadenCard $card): bool => ! $waits($card)));

        return [
            $question->withCards(array_values(array_filter($question->cards, $waits)))->withLinks($decision->links),
            new Begun($laden, $placed, new SoFar($in, $now)),
            new Decision($decision->links, array_values(array_filter($decision->cards, $waits))),
        ];
    }

    private static function done(Question $question, Begun $begun, Decision $rest): float
    {
        $whole = new Decision($rest->links, [...$begun->placed, ...$rest->cards]);
        $network = $whole->network($question);

        return Reckoner::onFrom($network, $whole->placements($network), $begun->soFar)->done;
    }
}
