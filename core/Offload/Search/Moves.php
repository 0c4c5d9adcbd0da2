<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Closure;
use Random\Randomizer;
use Tally\Offload\Question\Question;

/**
 * Single changes of a decision: another way for a card, another slot, another turn, two slots swapped, something into another
 * port, a reader brought to where a card's copies go.
 */
final readonly class Moves
{
    /** @var list<string> readers and drives that may be moved */
    private array $open;

    /** @var list<string> ports that they may go into */
    private array $ports;

    /** @var array<int, list<int>> card → slots that it fits into, wherever they are */
    private array $fits;

    /** @var array<string, string> port → what it is like */
    private array $kinds;

    /** @param  Closure(array<string, string>): Board  $board */
    public function __construct(private Question $question, private Closure $board)
    {
        [$slot, $fits] = [0, []];
        foreach ($question->readers as $reader) {
            foreach ($reader->slots as $one) {
                foreach ($question->cards as $card => $laden) {
                    if (array_intersect_key($one->buses, array_flip($laden->buses)) !== []) {
                        $fits[$card][] = $slot;
                    }
                }
                $slot++;
            }
        }
        $this->fits = $fits;
        $this->open = Cabling::open($question);
        $this->ports = Cabling::freePorts($question);
        $kinds = [];
        foreach ($question->hosts as $host) {
            foreach ($host->ports as $port) {
                $kinds["{$host->name} {$port->name}"] = "{$host->name} {$port->controller} {$port->ceiling} ".($port->isHalf ? 'half' : '');
            }
        }
        $this->kinds = $kinds;
    }

    /** @return list<array{string, int|string, int|string}> all of them */
    public function of(State $state): array
    {
        $board = ($this->board)($state->links);
        $moves = [];
        foreach ($state->order as $place => $card) {
            foreach (array_keys($board->waysAt($state->slots[$card])) as $way) {
                $moves[] = ['way', $card, $way];
            }
            foreach ($board->slots[$card] as $slot) {
                $moves[] = ['slot', $card, $slot];
            }
            for ($other = $place + 1; $other < count($state->order); $other++) {
                $moves[] = ['turn', $place, $other];
                $moves[] = ['change', $card, $state->order[$other]];
            }
            for ($to = 0; $to < count($state->order); $to++) {
                if (abs($to - $place) > 1) {
                    $moves[] = ['place', $place, $to];
                }
            }
        }
        foreach ($state->order as $card) {
            foreach ($this->fits[$card] ?? [] as $slot) {
                if ($board->network->hostOfSlot($slot) !== $board->network->hostOfSlot($state->slots[$card])) {
                    $moves[] = ['bring', $card, $slot];
                }
            }
        }
        foreach ($this->open as $thing) {
            $alike = [$this->kinds[$state->links[$thing] ?? ''] ?? '' => true];
            foreach ($this->ports as $port) {
                // Of ports that are alike, one that is free will do; of those that are not, which other thing leaves it counts.
                $kind = $this->kinds[$port].(in_array($port, $state->links, true) ? " {$port}" : '');
                if (! isset($alike[$kind])) {
                    $moves[] = ['port', $thing, $port];
                    $alike[$kind] = true;
                }
            }
        }

        return $moves;
    }

    /** One at random that can be made; null where a dozen tries found none. */
    public function any(State $state, Randomizer $chance): ?State
    {
        $moves = $this->of($state);
        for ($tries = 0; $tries < 12 && $moves !== []; $tries++) {
            $next = $this->made($state, $moves[$chance->getInt(0, count($moves) - 1)]);
            if ($next !== null) {
                return $next;
            }
        }

        return null;
    }

    /**
     * @param  array{string, int|string, int|string}  $move
     * @return State|null null where it changes nothing or cannot be
     */
    public function made(State $state, array $move): ?State
    {
        [$kind, $one, $other] = $move;
        $next = clone $state;
        if ($kind === 'port') {
            return $this->cabled($next, (string) $one, (string) $other);
        }
        [$one, $other] = [(int) $one, (int) $other];
        $board = ($this->board)($state->links);
        $isNew = match ($kind) {
            'way' => $this->way($board, $next, $one, $other),
            'slot' => $this->slot($board, $next, $one, $other),
            'change' => $this->change($board, $next, $one, $other),
            'turn' => $this->turn($next, $one, $other),
            'bring' => $this->bring($board, $next, $one, $other),
            default => $this->place($next, $one, $other),
        };

        return $isNew && $board->hasRoom($next) ? $next : null;
    }

    /** The reader of a slot comes to the host that a card is copied at, in the place of what is not needed; the card goes into the slot. */
    private function bring(Board $board, State $next, int $card, int $slot): bool
    {
        $host = $board->network->hostOfSlot($next->slots[$card]);
        $reader = $this->question->readers[$board->network->slots[$slot][0]]->name;
        if ($host === null || ! in_array($reader, $this->open, true)) {
            return false;
        }
        $used = $this->inUse($next, $board);
        $best = null;
        foreach ($this->question->hosts[$host]->ports as $port) {
            $name = "{$this->question->hosts[$host]->name} {$port->name}";
            $there = array_search($name, $next->links, true);
            $rank = [$port->ceiling, $there === false];
            if (in_array($name, $this->ports, true) && ! in_array($there, $used, true) && ($best === null || $rank > $best[0])) {
                $best = [$rank, $name];
            }
        }
        if ($best === null || in_array($reader, $used, true)) {
            return false;
        }
        $next->plug($reader, $best[1]);
        $next->slots[$card] = $slot;

        return true;
    }

    /** @return list<string> readers and drives that cards go over */
    private function inUse(State $state, Board $board): array
    {
        $used = [];
        foreach ($state->slots as $card => $slot) {
            $used[] = $this->question->readers[$board->network->slots[$slot][0]]->name;
            foreach ($state->ways[$card][1] as $drive) {
                $used[] = $this->question->drives[$drive]->name;
            }
        }

        return $used;
    }

    private function way(Board $board, State $next, int $card, int $way): bool
    {
        $to = $board->waysAt($next->slots[$card])[$way];
        if ($to === $next->ways[$card]) {
            return false;
        }
        $next->ways[$card] = $to;

        return true;
    }

    private function slot(Board $board, State $next, int $card, int $slot): bool
    {
        if ($next->slots[$card] === $slot) {
            return false;
        }
        $next->slots[$card] = $slot;

        return $this->mend($board, $next, $card);
    }

    private function change(Board $board, State $next, int $one, int $other): bool
    {
        [$a, $b] = [$next->slots[$one], $next->slots[$other]];
        if ($a === $b || ! in_array($b, $board->slots[$one], true) || ! in_array($a, $board->slots[$other], true)) {
            return false;
        }
        [$next->slots[$one], $next->slots[$other]] = [$b, $a];

        return $this->mend($board, $next, $one) && $this->mend($board, $next, $other);
    }

    private function turn(State $next, int $one, int $other): bool
    {
        $order = $next->order;
        [$order[$one], $order[$other]] = [$order[$other], $order[$one]];
        $next->order = array_values($order);

        return true;
    }

    private function place(State $next, int $from, int $to): bool
    {
        $card = array_splice($next->order, $from, 1);
        array_splice($next->order, $to, 0, $card);

        return true;
    }

    /** Something into another port; what is in that one changes places with it. */
    private function cabled(State $next, string $thing, string $port): ?State
    {
        if (($next->links[$thing] ?? null) === $port) {
            return null;
        }
        $next->plug($thing, $port);
        $board = ($this->board)($next->links);
        foreach ($next->order as $card) {
            if (! in_array($next->slots[$card], $board->slots[$card], true)) {
                if ($board->slots[$card] === []) {
                    return null;
                }
                $next->slots[$card] = $board->slots[$card][0];
            }
            if (! $this->mend($board, $next, $card)) {
                return null;
            }
        }

        return $board->hasRoom($next) ? $next : null;
    }

    /** A card at another host is copied onto drives that are there. */
    private function mend(Board $board, State $next, int $card): bool
    {
        $ways = $board->waysAt($next->slots[$card]);
        if (in_array($next->ways[$card], $ways, true)) {
            return true;
        }
        foreach ($ways as $way) {
            $next->ways[$card] = $way;
            if ($board->hasRoom($next)) {
                return true;
            }
        }

        return false;
    }
}
