<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Evidence\Evidence;
use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Label\Mark;
use Tally\Measured\Attribution;
use Tally\Measured\Chain;
use Tally\Measured\Way;
use Tally\Quantity\Rate;
use Tally\Reading\WayReading;

/**
 * What was measured against what a label promises to keep up: its class, and its sustained claim. Either is a minimum: the
 * lowest window of every long write counts, the worst one decides, and no mean does. Three short readings or more that all
 * lie under it convict; short ones never acquit. Handbook § 6 rules 3, 4, 6, 7 and 9.
 */
final readonly class FloorJudge
{
    public function __construct(private Evidence $evidence, private Repeats $repeats) {}

    /** @return list<Reason> */
    public function judge(): array
    {
        return [...$this->classes(), ...$this->sustained()];
    }

    /** @return list<Reason> of the highest mark; where that stays open, also of the lesser ones that can be judged */
    private function classes(): array
    {
        $reasons = [];
        foreach ($this->evidence->label->floors() as $mark) {
            $reason = $this->floor(new Promise($mark->floor(), $mark));
            if ($reasons === [] || $reason->bearing !== VerdictKind::Unproven) {
                $reasons[] = $reason;
            }
            if ($reason->bearing !== VerdictKind::Unproven) {
                break;
            }
        }

        return $reasons;
    }

    /** @return list<Reason> */
    private function sustained(): array
    {
        $claim = $this->evidence->label->sustained;

        return $claim === null ? [] : [$this->floor(new Promise($claim, null))];
    }

    private function floor(Promise $promise): Reason
    {
        $long = array_values(
            array_filter(
                KeptUp::among($this->evidence, $this->repeats),
                fn (array $one): bool => $this->isJudgedOver($one[0]->chain, $promise->mark),
            ),
        );
        $short = array_values(
            array_filter($this->shortOnes(), fn (array $one): bool => $this->isJudgedOver($one[0]->chain, $promise->mark)),
        );

        return $this->missed($promise, $long) ??
            ($this->allUnder($promise, $short) ?? ($this->met($promise, $long) ?? $this->open($promise, $long, $short)));
    }

    /** @param  list<array{LongWriteEvidence, Rate}>  $long  with their lowest windows, the worst first */
    private function missed(Promise $promise, array $long): ?Reason
    {
        foreach ($long as [$write, $floor]) {
            $blame = $this->blame($write->chain);
            if ($floor->isBelow($promise->rate) && $blame->isTheCards($floor, $promise->rate)) {
                return $promise->reason(
                    ReasonId::ClassFloorMissed,
                    ReasonId::SustainedMissed,
                    ['measured' => $floor, 'window' => $write->course->window, ...$blame->grounds($floor, $promise->rate)],
                    $write->describe(),
                );
            }
        }

        return null;
    }

    /** @param  list<array{SpeedEvidence, WayReading}>  $short */
    private function allUnder(Promise $promise, array $short): ?Reason
    {
        foreach ($short as [$speed, $way]) {
            $blame = $this->blame($speed->chain);
            if (
                $speed->settles(Way::Write) &&
                $way->most()->isBelow($promise->rate) &&
                $blame->isTheCards($way->most(), $promise->rate)
            ) {
                return $promise->reason(
                    ReasonId::ClassReadingsUnder,
                    ReasonId::SustainedReadingsUnder,
                    ['measured' => $way->most(), 'readings' => $way->summary->count, ...$blame->grounds($way->most(), $promise->rate)],
                    $speed->describe(),
                );
            }
        }

        return null;
    }

    /** @param  list<array{LongWriteEvidence, Rate}>  $long */
    private function met(Promise $promise, array $long): ?Reason
    {
        foreach ($long as [$write, $floor]) {
            // A floor that was kept was kept, wherever it was.
            if (! $floor->isBelow($promise->rate)) {
                return $promise->reason(
                    ReasonId::ClassMet,
                    ReasonId::SustainedKept,
                    ['measured' => $floor, 'window' => $write->course->window],
                    $write->describe().($promise->mark === null ? '' : '; a proxy for the class, not its compliance test'),
                );
            }
        }

        return null;
    }

    /**
     * Why it stays open, and what would settle it.
     *
     * @param  list<array{LongWriteEvidence, Rate}>  $long
     * @param  list<array{SpeedEvidence, WayReading}>  $short
     */
    private function open(Promise $promise, array $long, array $short): Reason
    {
        if ($long !== []) {
            return $this->notJudgedHere($promise, $long[0][1], $long[0][0]->chain, $long[0][0]->describe());
        }
        $other = $this->otherBus($promise);
        if ($short === []) {
            return $other ??
                $this->tooShort($promise) ??
                $promise->reason(
                    ReasonId::ClassNotMeasured,
                    ReasonId::SustainedNotMeasured,
                    [],
                    'a sustained run or a full proof would settle it',
                );
        }
        usort(
            $short,
            fn (array $a, array $b): int => [$b[0]->settles(Way::Write), $b[1]->summary->median] <=> [
                $a[0]->settles(Way::Write),
                $a[1]->summary->median,
            ],
        );
        [$speed, $way] = $short[0];
        $figures = ['measured' => $way->median()];
        $margin = $way->summary->margin() ?? 0.0;
        $isTooClose = abs($way->summary->mean - $promise->rate->bytesPerSecond) <= $margin;
        $isAllUnder = $way->most()->isBelow($promise->rate);

        return match (true) {
            $promise->mark === null => $promise->reason(
                ReasonId::ClassNotMeasured,
                ReasonId::SustainedNotMeasured,
                [],
                'a sustained run or a full proof would settle it',
            ),
            ! $speed->settles(Way::Write) => $promise->reason(
                ReasonId::ClassSingleLook,
                ReasonId::SustainedNotMeasured,
                [...$figures, 'readings' => $way->summary->count, 'region' => $speed->record->region],
                $speed->describe(),
            ),
            $isAllUnder => $this->notJudgedHere($promise, $way->most(), $speed->chain, $speed->describe()),
            $isTooClose => $promise->reason(
                ReasonId::ClassTooClose,
                ReasonId::SustainedNotMeasured,
                [...$figures, 'margin' => Rate::bytesPerSecond(max(1.0, $margin))],
                $speed->describe(),
            ),
            default => $promise->reason(ReasonId::ClassNoLongWrite, ReasonId::SustainedNotMeasured, $figures, $speed->describe()),
        };
    }

    /** Where the longest write there is was none that tells: a cache can be as large as it. */
    private function tooShort(Promise $promise): ?Reason
    {
        $longest = null;
        foreach ($this->evidence->longWrites() as $write) {
            $longest = $longest === null || $write->written->count > $longest->written->count ? $write : $longest;
        }

        return $longest === null || $longest->isLong($this->evidence->label)
            ? null
            : $promise->reason(
                ReasonId::ClassWriteTooShort,
                ReasonId::SustainedWriteTooShort,
                ['written' => $longest->written, 'long' => LongWriteEvidence::long($this->evidence->label)],
                $longest->describe(),
            );
    }

    private function notJudgedHere(Promise $promise, Rate $measured, Chain $chain, string $evidence): Reason
    {
        return $promise->reason(
            ReasonId::ClassNotJudgedHere,
            ReasonId::SustainedNotJudgedHere,
            [
                'measured' => $measured,
                'why' => $this->blame($chain)->excuse($measured),
                'where' => Elsewhere::for($promise->rate, $this->evidence->house),
            ],
            $evidence,
        );
    }

    /** Where it was written over a bus only that the mark is not defined for. */
    private function otherBus(Promise $promise): ?Reason
    {
        $over = [
            ...array_map(fn (array $one): Chain => $one[0]->chain, KeptUp::among($this->evidence, $this->repeats)),
            ...array_map(fn (array $one): Chain => $one[0]->chain, $this->shortOnes()),
        ];
        foreach ($over as $chain) {
            $bus = $this->evidence->label->slowestIn($chain->slot);
            if ($promise->mark !== null && $bus !== null && ! $promise->mark->isDefinedOver($bus)) {
                return $promise->reason(
                    ReasonId::ClassOtherBus,
                    ReasonId::SustainedNotMeasured,
                    [
                        'bus' => $bus->label(),
                        'from' => $promise->mark->buses()[0]->label(),
                        'where' => Elsewhere::for($promise->rate, $this->evidence->house),
                    ],
                    "{$chain->describe()}; SD Association speed-class tables",
                );
            }
        }

        return null;
    }

    /** A class says nothing over a bus that it is not defined for; over one that nobody knows, what is kept up is kept up. */
    private function isJudgedOver(Chain $chain, ?Mark $mark): bool
    {
        if ($mark === null || ! $chain->isNamed()) {
            return true;
        }
        $bus = $this->evidence->label->slowestIn($chain->slot);

        return $bus === null || $mark->isDefinedOver($bus);
    }

    private function blame(Chain $chain): Attribution
    {
        return new Attribution($chain, $this->evidence->label, $this->evidence->house->reached(...), $this->evidence->house->by);
    }

    /** @return list<array{SpeedEvidence, WayReading}> what speed runs wrote, uneven or not, the slowest first */
    private function shortOnes(): array
    {
        $found = [];
        foreach ($this->evidence->speeds as $speed) {
            $way = $this->evidence->reading($speed)->write;
            if ($way !== null && ! $way->isStruck() && $this->repeats->counts($speed, 'write', $way->median())) {
                $found[] = [$speed, $way];
            }
        }
        usort(
            $found,
            fn (array $a, array $b): int => [$a[1]->summary->most, $a[0]->source->name] <=> [$b[1]->summary->most, $b[0]->source->name],
        );

        return $found;
    }
}
