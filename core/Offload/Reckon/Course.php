<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** What came of a decision on paper: its figures, and where they were asked for, its events and what everything had to do. */
final class Course
{
    /** When the last copy has been read back, or made where none is. Seconds. */
    public float $done = 0.0;

    /** Unbroken stretches in which hands are at work. */
    public int $hands = 0;

    /** Whether it was left, being worse than what is known. */
    public bool $isCut = false;

    /** What reckoning it took: flows looked at, over all events. */
    public int $work = 0;

    /** @var array<int, float> placement → when the card is in. Seconds */
    public array $in = [];

    /** @var array<int, float> placement → when the card may leave */
    public array $free = [];

    /** @var array<int, float> placement → when two of its copies have been read back */
    public array $clear = [];

    /** @var array<int, float> placement → when the last of its copies is read back, or made where none is */
    public array $safe = [];

    /** @var list<Event> in the order in which they happen */
    public array $events = [];

    /** @var list<Stretch> flows, and what hands do, each with its beginning and end */
    public array $stretches = [];

    /** @var list<Going>|null what goes at the moment that was asked about; null where none was */
    public ?array $going = null;

    /** @var array<int, float> resource → seconds that it would have taken at its full ceiling */
    public array $load = [];

    /** @param  list<Placement>  $placements */
    public function __construct(public readonly Network $network, public readonly array $placements) {}

    /** When the last card is free. Seconds. */
    public function allFree(): float
    {
        return $this->free === [] ? 0.0 : max($this->free);
    }

    /**
     * The times that hands are needed: what they do one after the other, without a pause.
     *
     * @return list<non-empty-list<Stretch>>
     */
    public function handsAtWork(): array
    {
        $acts = array_values(array_filter($this->stretches, fn (Stretch $stretch): bool => $stretch->kind === null));
        usort($acts, fn (Stretch $one, Stretch $other): int => $one->since <=> $other->since);
        [$times, $until] = [[], -1.0];
        foreach ($acts as $act) {
            if ($times === [] || $act->since > $until + 1e-6) {
                $times[] = [$act];
            } else {
                $times[count($times) - 1][] = $act;
            }
            $until = max($until, $act->until);
        }

        return $times;
    }

    public function in(int $at, float $now): void
    {
        $this->in[$at] = $now;
        $this->events[] = new Event($now, EventKind::In, $at, null);
    }

    public function free(int $at, float $now): void
    {
        $this->free[$at] = $now;
        $this->events[] = new Event($now, EventKind::Free, $at, null);
    }

    public function clear(int $at, float $now): void
    {
        $this->clear[$at] = $now;
        $this->events[] = new Event($now, EventKind::Clear, $at, null);
    }

    public function ended(Flow $flow, float $now, bool $isWritten): void
    {
        $this->done = max($this->done, $now);
        $this->safe[$flow->at] = $now;
        $kind = $flow->kind === FlowKind::ReadBack ? EventKind::ReadBack : EventKind::Copied;
        foreach ($flow->kind === FlowKind::ReadBack && $flow->reads !== null ? [$flow->reads] : $flow->writes as $drive) {
            $this->events[] = new Event($now, $kind, $flow->at, $drive);
        }
        if ($isWritten) {
            $this->stretches[] = new Stretch(
                $flow->kind,
                $flow->at,
                $flow->writes,
                $flow->reads,
                since: $flow->since,
                until: $now,
                bytes: $flow->bytes,
            );
        }
    }

    public function handled(int $at, float $since, float $until): void
    {
        $this->stretches[] = new Stretch(null, $at, [], null, since: $since, until: $until, bytes: 0.0);
    }

    /** @param  array<int, float>  $capacities */
    public function passed(Flow $flow, float $rate, array $capacities, float $step): void
    {
        foreach ($flow->type->uses as $resource => $weight) {
            $this->load[$resource] = ($this->load[$resource] ?? 0.0) + ($rate * $weight * $step) / $capacities[$resource];
        }
    }
}
