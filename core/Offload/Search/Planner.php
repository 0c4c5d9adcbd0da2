<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Offload\Decision;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tally\Offload\Reckon\Course;
use Tally\Offload\Reckon\Limits;
use Tally\Offload\UnusableDecision;

/**
 * Searches for the best decision: first ones by rule, by the choices of the bound, and by estimate; then one change after another
 * that makes it better, and where none does, a few at random and on from there. How long is given as work and not as time, so
 * that the same question gives the same plan.
 */
final class Planner
{
    /** Work that is done in a second on an ordinary machine, about; see Course::$work. */
    public const WORK_A_SECOND = 230_000;

    /** Work that every decision takes besides, and every other cabling. */
    private const EACH = 12;

    private const CABLED = 150;

    private const SEED = 20_261_126;

    private const JOLTS = 3;

    /** So much of the work goes into first decisions from the choices of the bound, less beside sketches; so many at the most. */
    private const ROUNDING = 0.4;

    private const ROUNDING_TOO = 0.1;

    private const ROUNDED = 100;

    /** So much of the work goes into sketches, so many of them. A change in one takes as much work as there are cards. */
    private const SKETCHING = 0.5;

    private const SKETCHES = 2;

    /** Of many beginnings so many are reckoned: those that look best by estimate. */
    private const LIKELY = 6;

    private int $left;

    private readonly Randomizer $chance;

    /** @var array<string, Board> */
    private array $boards = [];

    private readonly Moves $moves;

    private readonly Sketch $sketch;

    private ?State $best = null;

    /** @var list<float> */
    private array $bestFigures = [];

    private function __construct(
        private readonly Question $question,
        private readonly Goal $goal,
        private readonly Bound $bound,
        private readonly int $work,
        private readonly ?Begun $begun,
        private readonly Wanted $wanted,
    ) {
        $this->left = $work;
        $this->chance = new Randomizer(new Mt19937(self::SEED));
        $this->moves = new Moves($question, $this->board(...));
        $this->sketch = new Sketch($question, $goal);
    }

    /**
     * @param  Question  $question  sorted, every card of which can be planned
     * @param  Bound  $bound  of that question
     * @param  int  $short  work of a plan that is shown at once
     * @param  Decision|null  $known  one to begin with, where it can be carried out
     * @param  Begun|null  $begun  what goes on beside, with everything plugged in as the question has it
     * @return State|null null where no decision was found
     *
     * @throws NoLongerWanted
     */
    public static function best(
        Question $question,
        Goal $goal,
        Bound $bound,
        int $work,
        int $short,
        ?Decision $known = null,
        ?Begun $begun = null,
        Wanted $wanted = new Wanted(),
    ): ?State {
        // A long search is also the short one, so that it is never worse.
        $best = null;
        foreach ($work > 2 * $short ? [$short, $work - $short] : [$work] as $part) {
            $planner = new self($question, $goal, $bound, $part, begun: $begun, wanted: $wanted);
            $planner->begin($known);
            $planner->search();
            $isBetter = $best === null || ($planner->best !== null && $planner->bestFigures < $best->bestFigures);
            $best = $isBetter ? $planner : $best;
        }

        return $best->best;
    }

    private function begin(?Decision $known): void
    {
        if ($known === null) {
            return;
        }
        try {
            $board = $this->board($known->links);
            $state = State::of($known->links, $known->placements($board->network), $this->question->rules->copies);
        } catch (UnusableDecision) {
            return;
        }
        if (count($state->order) === count($this->question->cards) && $board->hasRoom($state)) {
            $this->better($state, []);
        }
    }

    private function search(): void
    {
        $beginnings = Cabling::beginnings($this->question);
        // At one host, rules and the bound find as good a cabling for less.
        $isSketched = count($this->question->hosts) > 1 && Cabling::open($this->question) !== [];
        $states = array_merge(...array_map(fn (array $links): array => Start::states($this->board($links)), $beginnings));
        foreach ($isSketched ? $this->sketch->likely($states, self::LIKELY) : $states as $state) {
            $this->better($state, $this->bestFigures);
        }
        $rounding = ($isSketched ? self::ROUNDING_TOO : self::ROUNDING) / (count($beginnings) + 1);
        foreach ($isSketched ? [] : $beginnings as $links) {
            $this->round($links, $rounding);
        }
        // Once more for the best of them.
        $this->round($this->best->links ?? [], $isSketched ? self::ROUNDING_TOO : $rounding);
        for ($i = 0; $isSketched && $i < self::SKETCHES; $i++) {
            $this->sketch(self::SKETCHING / self::SKETCHES);
        }
        [$here, $figures] = [$this->best, $this->bestFigures];
        while ($here !== null && $this->left > 0) {
            [$here, $figures] = $this->climb($here, $figures);
            // From the best so far, or from here where that is no worse: a few changes at random.
            if ($figures > $this->bestFigures) {
                $here = $this->best ?? $here;
            }
            for ($i = 0; $i < self::JOLTS; $i++) {
                $here = $this->moves->any($here, $this->chance) ?? $here;
            }
            $figures = $this->figures($this->reckon($here, []));
            $this->keep($here, $figures);
        }
    }

    /**
     * Whole cards from the choices of the bound, as long as a part of the work lasts.
     *
     * @param  array<string, string>  $links
     * @param  float  $part  of all work
     */
    private function round(array $links, float $part): void
    {
        $until = $this->left - (int) ($this->work * $part);
        // The first rounds of the weights are far from balanced.
        $choices = array_slice($this->bound->choices, intdiv(count($this->bound->choices), 4));
        for ($tries = 0; $choices !== [] && $this->left > $until && $tries < self::ROUNDED; $tries++) {
            $state = Start::rounded($this->board($links), $choices, $this->chance);
            if ($state !== null) {
                $this->better($state, $this->bestFigures);
            }
        }
    }

    /**
     * On from the best so far by estimate alone, as far as a part of the work goes; what looks best then is reckoned.
     *
     * @param  float  $part  of all work
     */
    private function sketch(float $part): void
    {
        if ($this->best === null) {
            return;
        }
        $work = (int) ($this->work * $part);
        $this->left -= $work;
        $steps = intdiv($work, max(1, count($this->question->cards)));
        foreach ($this->sketch->from($this->best, $steps, $this->chance) as $sketched) {
            $state = Start::ordered($this->board($sketched->links), $sketched->slots, $sketched->ways);
            if ($state !== null) {
                $this->better($state, $this->bestFigures);
            }
        }
    }

    /**
     * @param  list<float>  $figures
     * @return array{State, list<float>} where no single change makes it better, or the work is used up
     */
    private function climb(State $state, array $figures): array
    {
        $late = $this->late($this->reckon($state, []));
        $isBetter = true;
        while ($isBetter && $this->left > 0) {
            $isBetter = false;
            foreach ($this->promising($state, $late) as $move) {
                $next = $this->moves->made($state, $move);
                if ($next === null) {
                    continue;
                }
                $course = $this->reckon($next, $figures);
                if (! $course->isCut && $this->figures($course) < $figures) {
                    [$state, $figures, $isBetter, $late] = [$next, $this->figures($course), true, $this->late($course)];
                    $this->keep($state, $figures);
                    break;
                }
                if ($this->left <= 0) {
                    break;
                }
            }
        }

        return [$state, $figures];
    }

    /**
     * All single changes, at random, but first what matters most: ports, and what concerns the cards that are late.
     *
     * @param  array<int, true>  $late  cards
     * @return list<array{string, int|string, int|string}>
     */
    private function promising(State $state, array $late): array
    {
        $groups = [[], []];
        foreach ($this->chance->shuffleArray($this->moves->of($state)) as $move) {
            $isLate = match ($move[0]) {
                'turn', 'place' => isset($late[$state->order[(int) $move[1]]]),
                'change' => isset($late[(int) $move[1]]) || isset($late[(int) $move[2]]),
                'bring' => isset($late[(int) $move[1]]),
                default => isset($late[$move[1]]),
            };
            $groups[$isLate || $move[0] === 'port' ? 0 : 1][] = $move;
        }

        return array_merge(...$groups);
    }

    /** @return array<int, true> the third of the cards that are free or safe last */
    private function late(Course $course): array
    {
        $ends = [];
        foreach ($course->placements as $at => $placement) {
            $free = $course->free[$at] ?? INF;
            if (isset($this->question->cards[$placement->card])) {
                $ends[$placement->card] = $this->goal === Goal::Free ? $free : max($free, $course->safe[$at] ?? $free);
            }
        }
        arsort($ends);

        return array_fill_keys(array_slice(array_keys($ends), 0, intdiv(count($ends) + 2, 3)), true);
    }

    /** @param  list<float>  $figures */
    private function better(State $state, array $figures): void
    {
        $course = $this->reckon($state, $figures);
        if (! $course->isCut) {
            $this->keep($state, $this->figures($course));
        }
    }

    /** @param  list<float>  $figures */
    private function keep(State $state, array $figures): void
    {
        if ($this->best === null || $figures < $this->bestFigures) {
            [$this->best, $this->bestFigures] = [$state, $figures];
        }
    }

    /**
     * Takes from the work that is left.
     *
     * @param  list<float>  $figures  that it must not be worse than; empty for whatever it is
     *
     * @phpstan-impure
     */
    private function reckon(State $state, array $figures): Course
    {
        $this->wanted->mustBe();
        $course = $this->board($state->links)->course($state, $this->limits($figures));
        $this->left -= $course->work + self::EACH;

        return $course;
    }

    /** @param  list<float>  $figures */
    private function limits(array $figures): Limits
    {
        return match (true) {
            $figures === [] => new Limits(),
            $this->goal === Goal::Safe => new Limits(done: $figures[0]),
            $this->goal === Goal::Free => new Limits(free: $figures[0]),
            default => new Limits(hands: (int) $figures[0]),
        };
    }

    /**
     * To a microsecond: what is nearer is the same, and the next figure decides.
     *
     * @return list<float>
     */
    private function figures(Course $course): array
    {
        return $this->goal->figures(round($course->done, 6), round($course->allFree(), 6), $course->hands);
    }

    /** @param  array<string, string>  $links */
    private function board(array $links): Board
    {
        ksort($links);

        $key = json_encode($links, JSON_THROW_ON_ERROR);
        if (! isset($this->boards[$key])) {
            $this->left -= self::CABLED;
            $this->boards[$key] = new Board($this->question, $links, $this->begun);
        }

        return $this->boards[$key];
    }
}
