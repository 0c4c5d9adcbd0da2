<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

use Tally\Offload\Question\Scheme;

/**
 * Carries a decision out on paper, from event to event: what goes when, how fast, and when each card is free and safe.
 *
 * Rates stay as they are until a flow ends, a cache is full or a pair of hands has finished.
 */
final class Reckoner
{
    /** Things nearer in time than this are one event. Seconds. */
    private const MOMENT = 1e-6;

    private float $now = 0.0;

    /** @var array<int, Flow> */
    private array $flows = [];

    private int $next = 0;

    /** @var array<int, float> drive → bytes written so far */
    private array $written = [];

    /** @var array<int, true> drives whose cache still takes */
    private array $isFast = [];

    /** @var array<int, int> drive → flows on it */
    private array $busy = [];

    /** @var array<int, float> placement → seconds that putting it in takes; those that wait for hands */
    private array $waiting = [];

    /** @var array<int, float> placement → when a pair of hands has it in */
    private array $inHand = [];

    private float $handsUntil = -INF;

    /** @var array<int, list<int>> slot → placements that are still to come in it */
    private array $queue = [];

    /** @var array<int, int> placement → copies that have been read back */
    private array $back = [];

    /** @var array<int, int> placement → copy flows from the card that are still to end */
    private array $needed = [];

    /** @var array<int, float> what the drives and links are capable of just now */
    private array $capacities;

    /** @var array<int, float> flow → bytes a second */
    private array $rates = [];

    private bool $isChanged = true;

    private Course $course;

    /**
     * @param  list<Placement>  $placements  in the order in which hands serve them
     * @param  Limits  $limits  beyond which it is of no interest
     */
    private function __construct(
        private readonly Network $network,
        private readonly array $placements,
        private readonly bool $isWritten,
        private readonly Limits $limits,
        private readonly ?SoFar $soFar = null,
    ) {
        $this->capacities = $network->capacities;
        $this->course = new Course($network, $placements);
        foreach ($network->question->drives as $d => $drive) {
            $this->written[$d] = 0.0;
            $this->busy[$d] = 0;
            if ($drive->cache > 0 && $drive->fast > 0) {
                $this->isFast[$d] = true;
            }
        }
        $rules = $network->question->rules;
        foreach ($placements as $at => $placement) {
            $this->back[$at] = 0;
            $this->needed[$at] = $placement->scheme === Scheme::Straight ? count($placement->drives) : 1;
            if (isset($soFar->in[$at])) {
                $this->queue[$placement->slot] ??= [];
                $this->inHand[$at] = $soFar->in[$at];
            } elseif (isset($this->queue[$placement->slot])) {
                $this->queue[$placement->slot][] = $at;
            } else {
                $this->queue[$placement->slot] = [];
                $this->waiting[$at] = $rules->first;
            }
        }
    }

    /**
     * Done, free and hands alone. What goes beyond the limits is left where it is, and says so.
     *
     * @param  list<Placement>  $placements  in the order in which hands serve them
     * @param  SoFar|null  $soFar  where some are in already
     */
    public static function figures(Network $network, array $placements, Limits $limits = new Limits(), ?SoFar $soFar = null): Course
    {
        return (new self($network, $placements, false, $limits, soFar: $soFar))->run();
    }

    /**
     * The same with every event, and what each link and drive had to do.
     *
     * @param  list<Placement>  $placements
     */
    public static function course(Network $network, array $placements): Course
    {
        return (new self($network, $placements, true, new Limits()))->run();
    }

    /**
     * As it went until now, and from there on by the plan: what is going just now stands in the course, too.
     *
     * @param  list<Placement>  $placements
     */
    public static function onFrom(Network $network, array $placements, SoFar $soFar): Course
    {
        return (new self($network, $placements, true, new Limits(), soFar: $soFar))->run();
    }

    private function run(): Course
    {
        $this->serve();
        while ($this->flows !== [] || $this->inHand !== [] || ($this->isBefore() && $this->waiting !== [])) {
            $this->course->work += count($this->flows) + 1;
            $rates = $this->rates();
            $step = $this->step($rates);
            $this->now += $step;
            if ($this->limits->areBroken($this->now, count($this->course->free) === count($this->placements), $this->course->hands)) {
                $this->course->isCut = true;

                return $this->course;
            }
            $this->pass($rates, $step);
            $this->endFlows($rates);
            $this->fillCaches($rates);
            $this->putIn();
            if ($this->soFar !== null && ! $this->isBefore() && $this->course->going === null) {
                $this->course->going = array_map(
                    fn (Flow $flow): Going => new Going(
                        $flow->kind,
                        $flow->at,
                        $flow->writes,
                        $flow->reads,
                        since: $flow->since,
                        bytes: $flow->bytes - $flow->left,
                    ),
                    array_values($this->flows),
                );
            }
            $this->serve();
        }

        return $this->course;
    }

    /** Whether what happens is what has happened: hands did then what they did. */
    private function isBefore(): bool
    {
        return $this->soFar !== null && $this->now < $this->soFar->now - self::MOMENT;
    }

    /** @return array<int, float> flow → bytes a second */
    private function rates(): array
    {
        if ($this->isChanged) {
            $types = [];
            foreach ($this->flows as $flow) {
                $types[$flow->type->id] = $flow->type;
            }
            $shared = $this->network->rates($types, $this->capacities);
            $this->rates = [];
            foreach ($this->flows as $id => $flow) {
                $this->rates[$id] = $shared[$flow->type->id];
            }
            $this->isChanged = false;
        }

        return $this->rates;
    }

    /**
     * @param  array<int, float>  $rates
     * @return float seconds to the next event
     */
    private function step(array $rates): float
    {
        $step = $this->soFar !== null && $this->isBefore() ? $this->soFar->now - $this->now : INF;
        foreach ($this->flows as $id => $flow) {
            $step = min($step, $flow->left / $rates[$id]);
        }
        foreach ($this->inHand as $until) {
            $step = min($step, $until - $this->now);
        }
        foreach (array_keys($this->isFast) as $drive) {
            $rate = $this->busy[$drive] > 0 ? $this->writing($drive, $rates) : 0.0;
            if ($rate > 0) {
                $step = min($step, ($this->network->question->drives[$drive]->cache - $this->written[$drive]) / $rate);
            }
        }

        return max(0.0, $step);
    }

    /** @param  array<int, float>  $rates */
    private function writing(int $drive, array $rates): float
    {
        $sum = 0.0;
        foreach ($this->flows as $id => $flow) {
            $sum += in_array($drive, $flow->writes, true) ? $rates[$id] ?? 0.0 : 0.0;
        }

        return $sum;
    }

    /** @param  array<int, float>  $rates */
    private function pass(array $rates, float $step): void
    {
        foreach ($this->flows as $id => $flow) {
            $bytes = $rates[$id] * $step;
            $flow->left -= $bytes;
            foreach ($flow->writes as $drive) {
                $this->written[$drive] += $bytes;
            }
            if ($this->isWritten) {
                $this->course->passed($flow, $rates[$id], $this->capacities, $step);
            }
        }
    }

    /** @param  array<int, float>  $rates */
    private function endFlows(array $rates): void
    {
        foreach ($this->flows as $id => $flow) {
            if ($flow->left <= $rates[$id] * self::MOMENT) {
                $this->remove($id, $flow);
                $this->ended($flow);
            }
        }
    }

    /** @param  array<int, float>  $rates  of before this event */
    private function fillCaches(array $rates): void
    {
        foreach (array_keys($this->isFast) as $drive) {
            $left = $this->network->question->drives[$drive]->cache - $this->written[$drive];
            if ($left <= 0 || $left <= self::MOMENT * $this->writing($drive, $rates)) {
                unset($this->isFast[$drive]);
                $this->isChanged = true;
                foreach ($this->flows as $flow) {
                    if (in_array($drive, $flow->writes, true)) {
                        $this->weigh($flow);
                    }
                }
            }
        }
    }

    private function putIn(): void
    {
        foreach ($this->inHand as $at => $until) {
            if ($until <= $this->now + self::MOMENT) {
                unset($this->inHand[$at]);
                $this->course->in($at, $this->now);
                $placement = $this->placements[$at];
                $this->copy($at, $placement->scheme === Scheme::FanOut ? $placement->drives : [$placement->drives[0]]);
            }
        }
    }

    /** Free hands take of what waits what is first in the plan. */
    private function serve(): void
    {
        $hands = $this->network->question->rules->hands;
        while (! $this->isBefore() && $this->waiting !== [] && count($this->inHand) < $hands) {
            $at = min(array_keys($this->waiting));
            $until = $this->now + $this->waiting[$at];
            if ($this->inHand === [] && $this->now > $this->handsUntil + self::MOMENT) {
                $this->course->hands++;
            }
            unset($this->waiting[$at]);
            $this->inHand[$at] = $until;
            $this->handsUntil = max($this->handsUntil, $until);
            if ($this->isWritten) {
                $this->course->handled($at, $this->now, $until);
            }
        }
    }

    /** @param  list<int>  $drives */
    private function copy(int $at, array $drives): void
    {
        $placement = $this->placements[$at];
        $path = $this->network->copy($placement->card, $placement->slot, $drives, $this->isImport($at, $drives)) ?? new FlowPath(INF, []);
        $this->begin(FlowKind::Copy, $at, $path, $drives, reads: null);
    }

    /** @param  list<int>  $writes */
    private function begin(FlowKind $kind, int $at, FlowPath $path, array $writes, ?int $reads): void
    {
        $card = $this->network->question->cards[$this->placements[$at]->card];
        $flow = new Flow($kind, $at, $card->bytes, $card->files, path: $path, writes: $writes, reads: $reads, since: $this->now);
        if ($flow->bytes <= 0) {
            $this->ended($flow);

            return;
        }
        foreach ($reads === null ? $writes : [...$writes, $reads] as $drive) {
            $this->occupy($drive, 1);
        }
        $this->weigh($flow);
        $this->flows[$this->next++] = $flow;
        $this->isChanged = true;
    }

    private function remove(int $id, Flow $flow): void
    {
        unset($this->flows[$id]);
        $this->isChanged = true;
        foreach ($flow->reads === null ? $flow->writes : [...$flow->writes, $flow->reads] as $drive) {
            $this->occupy($drive, -1);
        }
    }

    private function occupy(int $drive, int $more): void
    {
        $this->busy[$drive] += $more;
        $share = $this->network->question->drives[$drive]->kind->share($this->busy[$drive]);
        $this->capacities[$this->network->driveResource[$drive]] = $share;
    }

    /** What a flow takes of everything, and the most it can do by itself, as its drives are just now. */
    private function weigh(Flow $flow): void
    {
        $writes = [];
        foreach ($flow->writes as $d) {
            $drive = $this->network->question->drives[$d];
            $writes[$d] = $this->isFast[$d] ?? false ? $drive->fast : $drive->write;
        }
        $placement = $this->placements[$flow->at];
        $key = $flow->kind === FlowKind::Copy
            ? "copy {$placement->slot} ".($this->isImport($flow->at, $flow->writes) ? 'import' : 'again')
            : "{$flow->kind->value} {$flow->reads}";
        $flow->type = $this->network->type($key, $placement->card, $flow->path, $writes, reads: $flow->reads);
    }

    /**
     * Of straight copies, only the first is the import.
     *
     * @param  list<int>  $drives
     */
    private function isImport(int $at, array $drives): bool
    {
        $placement = $this->placements[$at];

        return $placement->scheme !== Scheme::Straight || $drives[0] === $placement->drives[0];
    }

    private function ended(Flow $flow): void
    {
        $at = $flow->at;
        $placement = $this->placements[$at];
        $readsBack = $this->network->question->rules->readsBack();
        $this->course->ended($flow, $this->now, $this->isWritten);
        if ($flow->kind === FlowKind::ReadBack) {
            if (++$this->back[$at] === 2) {
                $this->course->clear($at, $this->now);
            }
            if ($placement->scheme === Scheme::Relay && $flow->reads === $placement->drives[0]) {
                $this->relay($at);
            }
        } else {
            foreach ($readsBack ? $flow->writes : [] as $drive) {
                $this->begin(FlowKind::ReadBack, $at, $this->network->readBack($drive), [], reads: $drive);
            }
            if ($flow->kind === FlowKind::Copy) {
                $this->needed[$at]--;
                if ($placement->scheme === Scheme::Straight && $this->needed[$at] > 0) {
                    $this->copy($at, [$placement->drives[count($placement->drives) - $this->needed[$at]]]);
                } elseif ($placement->scheme === Scheme::Relay && ! $readsBack) {
                    $this->relay($at);
                }
            }
        }
        if (! isset($this->course->free[$at]) && $this->needed[$at] === 0 && (! $readsBack || $this->back[$at] > 0)) {
            $this->course->free($at, $this->now);
            $next = array_shift($this->queue[$placement->slot]);
            if ($next !== null) {
                $this->waiting[$next] = $this->network->question->rules->swap;
            }
        }
    }

    private function relay(int $at): void
    {
        $drives = $this->placements[$at]->drives;
        foreach (array_slice($drives, 1) as $drive) {
            $this->begin(FlowKind::Relay, $at, $this->network->relay($drives[0], $drive), [$drive], reads: $drives[0]);
        }
    }
}
