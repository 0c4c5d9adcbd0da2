<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Random\Randomizer;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Scheme;

/**
 * Decisions that look good by estimate alone, from one that is there: changes at random, at first also some that make it a
 * little worse. Source of the method: threshold accepting (Dueck & Scheuer, J. Comput. Phys. 90, 1990).
 */
final class Sketch
{
    /** How much worse a change may make it at first. */
    private const THRESHOLD = 0.12;

    /** So many of the best are given back: what looks best need not be. */
    private const KEPT = 4;

    private readonly Estimate $estimate;

    /** @var list<string> readers and drives that may be moved */
    private readonly array $open;

    /** @var list<string> ports that they may go into */
    private readonly array $ports;

    /** @var array<string, list<array{Scheme, list<int>}>> drives at a host → ways onto them */
    private array $ways = [];

    public function __construct(private readonly Question $question, Goal $goal)
    {
        $this->estimate = new Estimate($question, $goal);
        $this->open = Cabling::open($question);
        $this->ports = Cabling::freePorts($question);
    }

    /**
     * @param  int  $steps  changes that are tried
     * @return list<State> the best by estimate, the very best last; their order is still that of the beginning
     */
    public function from(State $state, int $steps, Randomizer $chance): array
    {
        $here = $state;
        $best = [];
        $worth = $least = $this->estimate->of($state->links, $state->slots, $state->ways);
        for ($step = 0; $step < $steps; $step++) {
            $next = $this->changed($here, $chance);
            if ($next === null) {
                continue;
            }
            $value = $this->estimate->of($next->links, $next->slots, $next->ways);
            if ($value <= $worth * (1 + self::THRESHOLD * (1 - $step / $steps) ** 2)) {
                [$here, $worth] = [$next, $value];
                if ($value < $least) {
                    [$best[], $least] = [$next, $value];
                }
            }
        }

        return array_slice($best, -self::KEPT);
    }

    /**
     * @param  list<State>  $states
     * @return list<State> so many that look best, the best first
     */
    public function likely(array $states, int $most): array
    {
        $worth = array_map(fn (State $state): float => $this->estimate->of($state->links, $state->slots, $state->ways), $states);
        asort($worth);

        return array_map(fn (int $at): State => $states[$at], array_slice(array_keys($worth), 0, $most));
    }

    private function changed(State $state, Randomizer $chance): ?State
    {
        $pick = $chance->getInt(0, 99);
        $next = clone $state;

        return match (true) {
            $pick < 30 && $this->open !== [] && $this->ports !== [] => $this->cabled($next, $chance),
            $pick < 65 => $this->another($next, $chance),
            default => $this->moved($next, $chance),
        };
    }

    /** Something into another port; what is in that one changes places with it. */
    private function cabled(State $next, Randomizer $chance): ?State
    {
        $thing = $this->open[$chance->getInt(0, count($this->open) - 1)];
        $port = $this->ports[$chance->getInt(0, count($this->ports) - 1)];
        if (($next->links[$thing] ?? null) === $port) {
            return null;
        }
        $next->plug($thing, $port);
        foreach (array_keys($next->slots) as $card) {
            if (! $this->mended($next, $card, $chance)) {
                return null;
            }
        }

        return $next;
    }

    /** A card onto other drives, or by another scheme. */
    private function another(State $next, Randomizer $chance): ?State
    {
        $card = $next->order[$chance->getInt(0, count($next->order) - 1)];
        $ways = $this->waysAt($next, $card);
        if (count($ways) < 2) {
            return null;
        }
        $next->ways[$card] = $ways[$chance->getInt(0, count($ways) - 1)];

        return $next;
    }

    /** A card into another slot. */
    private function moved(State $next, Randomizer $chance): ?State
    {
        $card = $next->order[$chance->getInt(0, count($next->order) - 1)];
        $slots = array_keys($this->estimate->own[$card] ?? []);
        $next->slots[$card] = $slots[$chance->getInt(0, count($slots) - 1)];

        return $this->mended($next, $card, $chance) ? $next : null;
    }

    /** Whether the card can be copied where it is; onto other drives where those that it had are at another host. */
    private function mended(State $next, int $card, Randomizer $chance): bool
    {
        $ways = $this->waysAt($next, $card);
        if ($ways === []) {
            return false;
        }
        if (! in_array($next->ways[$card], $ways, true)) {
            $next->ways[$card] = $ways[$chance->getInt(0, count($ways) - 1)];
        }

        return true;
    }

    /** @return list<array{Scheme, list<int>}> */
    private function waysAt(State $state, int $card): array
    {
        $reader = $this->question->readers[$this->estimate->readerOf[$state->slots[$card]]];
        $port = $state->links[$reader->name] ?? null;
        $drives = $port === null ? [] : $this->estimate->drivesAt($state->links)[$this->estimate->hostOf[$port]] ?? [];
        $copies = $this->question->rules->copies;

        return count($drives) < $copies ? [] : $this->ways[implode(' ', $drives)] ??= Ways::of($this->question->rules, $drives);
    }
}
