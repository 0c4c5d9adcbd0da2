<?php

declare(strict_types=1);

namespace Tests\Support;

use Generator;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tally\Offload\Reckon\Reckoner;
use Tally\Offload\Search\Board;
use Tally\Offload\Search\Cabling;
use Tally\Offload\Search\State;

/** The best there is, by looking at everything. For small questions only. */
final readonly class EveryOffload
{
    /** @return float the best figure of that goal; INF where nothing can be done */
    public static function best(Question $question, Goal $goal): float
    {
        $best = INF;
        foreach (self::cablings($question->links, Cabling::open($question), Cabling::freePorts($question)) as $links) {
            $board = new Board($question, $links);
            foreach (self::choices($board, array_keys($question->cards)) as [$slots, $ways]) {
                foreach (self::orders(array_keys($question->cards)) as $order) {
                    $state = new State($links, $order, $slots, $ways);
                    if ($board->hasRoom($state)) {
                        $course = Reckoner::figures($board->network, $board->placements($state));
                        $best = min($best, $goal->figures($course->done, $course->allFree(), $course->hands)[0]);
                    }
                }
            }
        }

        return $best;
    }

    /**
     * @param  array<string, string>  $links
     * @param  list<string>  $things
     * @param  list<string>  $ports
     * @return Generator<int, array<string, string>>
     */
    private static function cablings(array $links, array $things, array $ports): Generator
    {
        if ($things === []) {
            yield $links;

            return;
        }
        $thing = array_shift($things);
        foreach ($ports as $port) {
            yield from self::cablings([...$links, $thing => $port], $things, array_values(array_diff($ports, [$port])));
        }
        if (count($ports) <= count($things)) {
            yield from self::cablings($links, $things, $ports);
        }
    }

    /**
     * @param  list<int>  $cards
     * @return Generator<int, array{array<int, int>, array<int, array{\Tally\Offload\Question\Scheme, list<int>}>}>
     */
    private static function choices(Board $board, array $cards): Generator
    {
        if ($cards === []) {
            yield [[], []];

            return;
        }
        $card = array_shift($cards);
        foreach (self::choices($board, $cards) as [$slots, $ways]) {
            foreach ($board->slots[$card] as $slot) {
                foreach ($board->waysAt($slot) as $way) {
                    yield [$slots + [$card => $slot], $ways + [$card => $way]];
                }
            }
        }
    }

    /**
     * @param  list<int>  $cards
     * @return Generator<int, list<int>>
     */
    private static function orders(array $cards): Generator
    {
        if (count($cards) < 2) {
            yield $cards;

            return;
        }
        foreach ($cards as $card) {
            foreach (self::orders(array_values(array_diff($cards, [$card]))) as $rest) {
                yield [$card, ...$rest];
            }
        }
    }
}
