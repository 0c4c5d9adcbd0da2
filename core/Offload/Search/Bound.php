<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Scheme;

/**
 * What no plan can be done before: the least work that must pass every link, drive and slot, over all choices still open, and
 * each card's own way alone.
 *
 * Links, drives and slots are weighed against one another: whatever the weights (together 1), the weighted work that no
 * choice avoids is a bound. All the weight on one thing gives the bound of that thing; the best mix is searched by raising the
 * weight of what has most to do. Source: Lagrangian duality of a linear program, with multiplicative weights (Arora, Hazan &
 * Kale, Theory of Computing 8, 2012).
 */
final class Bound
{
    private const ROUNDS = 240;

    /** Choices that are weighed in the time in which a flow is looked at in a plan; see Course::$work. */
    private const AS_MUCH = 3;

    /** Seconds; 0 where there is nothing to do, or it cannot be done at all. */
    public float $seconds = 0.0;

    /** What it took, as much as the Planner counts its own. */
    public int $work = 0;

    /**
     * What avoided most in each round: together they are near the best there would be if cards could be cut into pieces.
     *
     * @var list<array<int, array{int, Scheme, list<int>}>> card → slot, scheme, drives
     */
    public array $choices = [];

    public static function of(Question $question): self
    {
        $bound = new self();
        $work = $question->cards === [] ? null : LeastWork::of(Relaxed::network($question));
        if ($work !== null) {
            $weighed = $question->rules->first + $bound->weighed($work);
            $bound->work = intdiv(count($bound->choices) * $work->size(), self::AS_MUCH);
            $previews = $question->rules->first + self::previews($question);
            $bound->seconds = max($work->longestAlone(), $work->handsAlone(), $weighed, $previews);
        }

        return $bound;
    }

    /** Seconds until all hosts together have built the previews of all files. */
    private static function previews(Question $question): float
    {
        $files = array_sum(array_map(fn (LadenCard $card): int => $card->bytes > 0 ? $card->files : 0, $question->cards));
        $most = array_sum(array_map(fn (Host $host): float => $host->previews, $question->hosts));

        return $files / $most;
    }

    /** Seconds after the first card is in. */
    private function weighed(LeastWork $work): float
    {
        $things = $work->things();
        $best = 0.0;
        foreach (array_keys($things) as $thing) {
            $best = max($best, $work->under([$thing => 1.0] + array_fill_keys(array_keys($things), 0.0))[0]);
        }
        $weights = array_fill_keys(array_keys($things), 1 / count($things));
        for ($round = 1; $round <= self::ROUNDS; $round++) {
            [$least, $loads, $choices] = $work->under($weights);
            $best = max($best, $least);
            $most = max(0.0, ...$loads);
            if ($most <= 0) {
                break;
            }
            $this->choices[] = $choices;
            $step = 0.9 / sqrt($round);
            $sum = 0.0;
            foreach ($weights as $thing => $weight) {
                $weights[$thing] = $weight * exp($step * ($loads[$thing] / $most - 1));
                $sum += $weights[$thing];
            }
            foreach ($weights as $thing => $weight) {
                $weights[$thing] = $weight / $sum;
            }
        }

        return $best;
    }
}
