<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Generator;
use Random\Randomizer;
use Tally\Offload\Question\Scheme;

/** First decisions: the cards that take longest first, each into the slot where it is done soonest. */
final readonly class Start
{
    /** @return list<State> that can be; none where the cards do not fit onto the drives */
    public static function states(Board $board): array
    {
        return iterator_to_array(self::each($board), false);
    }

    /** Whether there is any. */
    public static function canBe(Board $board): bool
    {
        return self::each($board)->valid();
    }

    /** @return Generator<int, State> */
    private static function each(Board $board): Generator
    {
        foreach ($board->network->question->rules->schemes() as $scheme) {
            $placed = self::placed($board, $scheme);
            if ($placed === null) {
                continue;
            }
            // Cards take turns in which drive comes first, or the same one does for all.
            foreach ([true, false] as $turns) {
                $state = self::onto($board, $scheme, $turns, ...$placed);
                if ($state !== null) {
                    yield $state;
                }
            }
        }
    }

    /**
     * From pieces to whole cards: each takes one of the choices that were made for it, at random.
     *
     * @param  list<array<int, array{int, Scheme, list<int>}>>  $choices  card → slot, scheme, drives
     */
    public static function rounded(Board $board, array $choices, Randomizer $chance): ?State
    {
        $slots = $ways = [];
        foreach (array_keys($board->slots) as $card) {
            [$slot, $scheme, $drives] = $choices[$chance->getInt(0, count($choices) - 1)][$card];
            $way = [$scheme, $drives];
            foreach ($board->waysAt($slot) as $known) {
                // A fan-out is the same whatever the order of its drives.
                $isLed = $scheme === Scheme::FanOut || $known[1][0] === $drives[0];
                if ($known[0] === $scheme && $isLed && array_diff($known[1], $drives) === []) {
                    $way = $known;
                }
            }
            if (! in_array($slot, $board->slots[$card], true) || ! in_array($way, $board->waysAt($slot), true)) {
                return null;
            }
            [$slots[$card], $ways[$card]] = [$slot, $way];
        }

        return self::ordered($board, $slots, $ways);
    }

    /**
     * Of what is decided for each card, the longest first in each slot.
     *
     * @param  array<int, int>  $slots
     * @param  array<int, array{Scheme, list<int>}>  $ways
     */
    public static function ordered(Board $board, array $slots, array $ways): ?State
    {
        $own = new OwnTimes($board->network);
        $stays = $starts = $until = [];
        foreach ($slots as $card => $slot) {
            $stays[$card] = $own->stay($card, $slot, ...$ways[$card]);
        }
        arsort($stays);
        foreach ($stays as $card => $stay) {
            $starts[$card] = $until[$slots[$card]] ?? 0.0;
            $until[$slots[$card]] = $starts[$card] + $stay;
        }
        $order = array_keys($stays);
        $rank = fn (int $card): array => [$starts[$card], -$stays[$card], $card];
        usort($order, fn (int $one, int $other): int => $rank($one) <=> $rank($other));
        $state = new State($board->links, $order, $slots, $ways);

        return $board->hasRoom($state) ? $state : null;
    }

    /** @return array{list<int>, array<int, int>}|null the order of the cards, and card → slot; null where one fits nowhere */
    private static function placed(Board $board, Scheme $scheme): ?array
    {
        $own = new OwnTimes($board->network);
        $rules = $board->network->question->rules;
        $stays = $longest = [];
        foreach ($board->slots as $card => $slots) {
            foreach ($slots as $slot) {
                $host = $board->network->hostOfSlot($slot);
                $drives = array_keys($board->network->driveHost, $host, true);
                $stays[$card][$slot] = $own->stay($card, $slot, $scheme, $drives) + $rules->swap;
            }
            if (! isset($stays[$card])) {
                return null;
            }
            $longest[$card] = min($stays[$card]);
        }
        arsort($longest);
        $until = $starts = $slotOf = [];
        foreach (array_keys($longest) as $card) {
            $best = null;
            foreach ($stays[$card] as $slot => $stay) {
                $end = ($until[$slot] ?? 0.0) + $stay * (1 + self::crowd($board, $slot, $until));
                if ($best === null || $end < $best[0]) {
                    $best = [$end, $slot];
                }
            }
            $slot = $best[1];
            $starts[$card] = $until[$slot] ?? 0.0;
            $until[$slot] = ($until[$slot] ?? 0.0) + $stays[$card][$slot];
            $slotOf[$card] = $slot;
        }
        $order = array_keys($longest);
        $rank = fn (int $card): array => [$starts[$card], -$longest[$card], $card];
        usort($order, fn (int $one, int $other): int => $rank($one) <=> $rank($other));

        return [$order, $slotOf];
    }

    /**
     * Slots of one reader hold one another back: a little is enough to spread the cards over readers.
     *
     * @param  array<int, float>  $until
     */
    private static function crowd(Board $board, int $slot, array $until): float
    {
        $beside = 0;
        foreach (array_keys($until) as $other) {
            $beside += $other !== $slot && $board->network->slots[$other][0] === $board->network->slots[$slot][0] ? 1 : 0;
        }

        return 0.1 * $beside;
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, int>  $slotOf
     */
    private static function onto(Board $board, Scheme $scheme, bool $turns, array $order, array $slotOf): ?State
    {
        $question = $board->network->question;
        $free = array_map(fn ($drive): float => $drive->free, $question->drives);
        $worked = array_fill(0, count($question->drives), 0.0);
        $ways = [];
        foreach ($order as $card) {
            $bytes = $question->cards[$card]->bytes;
            $best = null;
            foreach ($board->waysAt($slotOf[$card]) as $way) {
                if ($way[0] !== $scheme) {
                    continue;
                }
                $cost = 0.0;
                foreach ($way[1] as $place => $drive) {
                    $takes = $bytes / $question->drives[$drive]->write + $bytes / $question->drives[$drive]->read;
                    $cost = $free[$drive] < $bytes ? INF : max($cost, $turns ? $worked[$drive] + $takes : $takes * (1 + $place / 8));
                }
                if ($cost < INF && ($best === null || $cost < $best[0])) {
                    $best = [$cost, $way];
                }
            }
            if ($best === null) {
                return null;
            }
            foreach ($best[1][1] as $drive) {
                $free[$drive] -= $bytes;
                $worked[$drive] += $bytes / $question->drives[$drive]->write + $bytes / $question->drives[$drive]->read;
            }
            $ways[$card] = $best[1];
        }

        return new State($board->links, $order, $slotOf, $ways);
    }
}
