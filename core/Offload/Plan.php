<?php

declare(strict_types=1);

namespace Tally\Offload;

use JsonSerializable;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tally\Offload\Reckon\Course;
use Tally\Offload\Reckon\Reckoner;
use Tally\Offload\Search\Begun;
use Tally\Offload\Search\Board;
use Tally\Offload\Search\Bound;
use Tally\Offload\Search\NoLongerWanted;
use Tally\Offload\Search\Plannable;
use Tally\Offload\Search\Planner;
use Tally\Offload\Search\Sorted;
use Tally\Offload\Search\Wanted;

/** How cards come home: what is decided, what comes of it, and how much better it could be at the most. */
final readonly class Plan implements JsonSerializable
{
    /** Seconds that a plan which is shown at once may take. */
    public const AT_ONCE = 0.15;

    /**
     * @param  Question  $question  with the cards that are planned
     * @param  float  $bound  no plan can be done before; seconds
     * @param  list<LeftOut>  $leftOut
     */
    private function __construct(
        public Question $question,
        public Goal $goal,
        public Decision $decision,
        public Course $course,
        public float $bound,
        public array $leftOut,
    ) {}

    /**
     * @param  float  $seconds  that are spent on it, about, on an ordinary machine
     * @param  Decision|null  $known  one that the search begins with, where it can be carried out
     *
     * @throws NoLongerWanted
     */
    public static function of(
        Question $asked,
        Goal $goal = Goal::Safe,
        float $seconds = self::AT_ONCE,
        ?Decision $known = null,
        Wanted $wanted = new Wanted(),
    ): self {
        $plannable = Plannable::of($asked);
        $question = $plannable->question;
        $sorted = Sorted::question($question);
        $bound = Bound::of($sorted);
        $state = $sorted->cards === []
            ? null
            : Planner::best(
                $sorted,
                $goal,
                $bound,
                self::work($seconds, $bound),
                short: self::work(self::AT_ONCE, $bound),
                known: $known,
                begun: null,
                wanted: $wanted,
            );
        $decision = new Decision($question->links, []);
        if ($state !== null) {
            $board = new Board($sorted, $state->links);
            $decision = Decision::of($board->network, self::whole($state->links), $board->placements($state));
        }

        return self::decided($question, $goal, $decision, $bound->seconds, leftOut: $plannable->leftOut);
    }

    /** What was found before for the same question. */
    public static function known(Question $asked, Goal $goal, Decision $decision, float $bound): self
    {
        $plannable = Plannable::of($asked);

        return self::decided($plannable->question, $goal, $decision, $bound, leftOut: $plannable->leftOut);
    }

    /**
     * Where the cards go that still wait, beside what is under way already.
     *
     * @param  Question  $rest  with the cards that wait, everything plugged in, and the room that is left on the drives
     * @param  Decision  $known  what was decided for them before: what is found is no later
     * @return Decision|null null where some of them cannot be planned
     */
    public static function ofRest(Question $rest, Goal $goal, float $seconds, Begun $begun, Decision $known): ?Decision
    {
        $plannable = Plannable::of($rest);
        if ($plannable->leftOut !== [] || $rest->cards === []) {
            return null;
        }
        $sorted = Sorted::question($plannable->question);
        $bound = Bound::of($sorted);
        $state = Planner::best(
            $sorted,
            $goal,
            $bound,
            self::work($seconds, $bound),
            short: self::work(self::AT_ONCE, $bound),
            known: $known,
            begun: $begun,
        );
        if ($state === null) {
            return null;
        }
        $board = new Board($sorted, $state->links);

        return Decision::of($board->network, self::whole($state->links), $board->placements($state));
    }

    /**
     * What comes of a decision that is there already.
     *
     * @param  float|null  $bound  where it is known
     * @param  list<LeftOut>  $leftOut
     *
     * @throws UnusableDecision when it does not go with the question
     */
    public static function decided(Question $question, Goal $goal, Decision $decision, ?float $bound = null, array $leftOut = []): self
    {
        $network = $decision->network($question);

        return new self(
            $question,
            $goal,
            $decision,
            Reckoner::course($network, $decision->placements($network)),
            bound: $bound ?? Bound::of($question)->seconds,
            leftOut: $leftOut,
        );
    }

    /** The bound is part of the time, but not of more than half of it. */
    private static function work(float $seconds, Bound $bound): int
    {
        $most = (int) ($seconds * Planner::WORK_A_SECOND);

        return max($most - $bound->work, intdiv($most, 2));
    }

    /** @return array<string, string> reader or drive → “host port”, of those that the plan uses */
    public function plugged(): array
    {
        $used = [];
        foreach ($this->decision->cards as $at => $card) {
            [$reader] = $this->course->network->slots[$this->course->placements[$at]->slot];
            $used += [$this->question->readers[$reader]->name => true, ...array_fill_keys($card->drives, true)];
        }

        return array_intersect_key($this->decision->links, $used);
    }

    /** @return string the scheme of all cards, or “mixed” */
    public function scheme(): string
    {
        $schemes = array_unique(array_map(fn (PlacedCard $card): string => $card->scheme->value, $this->decision->cards));

        return count($schemes) === 1 ? $schemes[array_key_first($schemes)] : ($schemes === [] ? 'none' : 'mixed');
    }

    /**
     * As it is printed: times in seconds with three decimals.
     *
     * @return array<string, mixed> as docs/plan.md says
     */
    public function jsonSerialize(): array
    {
        $round = fn (?float $seconds): ?float => $seconds === null ? null : round($seconds, 3);
        $drives = $this->question->drives;
        $cards = $events = [];
        foreach ($this->decision->cards as $at => $card) {
            $cards[] = [
                'tag' => $card->tag,
                'slot' => $card->slot,
                'order' => $card->order,
                'drives' => $card->drives,
                'scheme' => $card->scheme->value,
                'in' => $round($this->course->in[$at] ?? null),
                'free' => $round($this->course->free[$at] ?? null),
                'clear' => $round($this->course->clear[$at] ?? null),
            ];
        }
        foreach ($this->course->events as $event) {
            $card = $this->decision->cards[$event->placement];
            $events[] = [
                'at' => $round($event->at),
                'what' => $event->what->value,
                'card' => $card->tag,
                ...$event->drive === null ? ['slot' => $card->slot] : ['drive' => $drives[$event->drive]->name],
            ];
        }

        return [
            'done' => $round($this->course->done),
            'free' => $round($this->course->allFree()),
            'hands' => $this->course->hands,
            'bound' => $round($this->bound),
            'scheme' => $this->scheme(),
            'links' => (object) $this->decision->links,
            'cards' => $cards,
            'events' => $events,
        ];
    }

    /**
     * @param  array<string, string>  $links
     * @return array<string, string>
     */
    private static function whole(array $links): array
    {
        ksort($links);

        return $links;
    }
}
