<?php

declare(strict_types=1);

namespace Tally\Probe\Proof;

use Closure;
use Tally\Device\Addressed;
use Tally\Device\Clock;
use Tally\Device\Device;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\EndsRun;
use Tally\Pattern\Appraiser;
use Tally\Pattern\TestPattern;
use Tally\Probe\EarlyCheck\Alarm;
use Tally\Probe\EarlyCheck\EarlyCheck;
use Tally\Probe\EarlyCheck\Sample;
use Tally\Probe\EarlyCheck\Spots;
use Tally\Probe\Narrowing\Narrowing;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Trace;
use Tally\Reading\Condition;
use Tally\Reading\Course\LowestWindow;
use Tally\Reading\Course\SustainedFloor;
use Tally\Reading\Diagnosis;
use Tally\Reading\Nature;

/** The write pass of a full proof: from where it was left to the end, bringing everything down now and then and looking back. */
final class WritePass
{
    /** A medium on which so many bad spots were met is looked at whole instead. */
    private const MOST_SPOTS = 3;

    /** With less left than so many seconds, looking back would save nothing. */
    private const NOT_WORTH = 120.0;

    /** Writes shorter than this are told to the lowest window together, so that finding it costs next to nothing. Seconds. */
    private const SAMPLE = 0.25;

    public readonly Trace $trace;

    /** Bytes that the device took. */
    public int $taken;

    /** Seconds, without looking back. */
    public float $seconds;

    public bool $full = false;

    /** Whether it was full only when what it had taken was brought down. */
    private bool $lacksRoom = false;

    public ?string $note = null;

    public ?Alarm $alarm = null;

    public readonly Refused $refused;

    /** How far everything is surely on the medium. */
    private int $settled;

    private int $spots = 0;

    private readonly LowestWindow $lowest;

    /** Written since the lowest window was told: bytes, seconds. */
    private int $untold = 0;

    private float $untoldSeconds = 0.0;

    private readonly Budget $budget;

    private readonly ?EarlyCheck $lookBack;

    public function __construct(
        private readonly Device $device,
        private readonly Clock $clock,
        private readonly Pacemaker $beat,
        private readonly TestPattern $imprint,
        private readonly Checkpoint $from,
    ) {
        $this->trace = Trace::continued($from->writeTrace, $device->stretch());
        [$this->taken, $this->settled, $this->seconds] = [$from->written, $from->written, $from->writing];
        $this->lowest = new LowestWindow();
        $this->refused = new Refused($from->refused);
        $this->budget = new Budget($clock->now());
        $this->lookBack = $from->lookBack ? new EarlyCheck(new Spots($device, $imprint)) : null;
    }

    /**
     * @param  Closure(int): void  $settled  told how far everything is surely on the medium
     * @return int how far it came
     *
     * @throws EndsRun
     */
    public function run(Closure $settled): int
    {
        $size = $this->imprint->size->count;
        $at = $this->from->written;
        $this->lookBack?->placeRungs();
        while ($at < $size && ! $this->beat->wantsStop()) {
            $length = min($this->device->stretch(), $size - $at);
            $before = $this->clock->now();
            try {
                $this->device->write($at, $this->imprint->stretch($at, $length));
                $took = $this->clock->now() - $before;
                $this->trace->add($length, $took);
                $this->taken += $length;
                $this->passed($length, $took);
            } catch (CannotWrite $fault) {
                if ($this->isFull($fault, $at, $length)) {
                    break;
                }
            }
            $this->seconds += $this->clock->now() - $before;
            $at += $length;
            $this->beat->beat(Phase::Writing, 1, $at, $size, moved: $length);
            if ($at < $size && $this->budget->allows($this->clock->now()) && ! $this->pause($at, $settled)) {
                break;
            }
        }
        $this->beat->beat(Phase::Settling, 1, $at, $size, moved: 0);
        if ($this->settle($at)) {
            $settled($this->settled);
        }

        // What there was no room for any more only when it was brought down is on no medium: it is not read back.
        return $this->lacksRoom ? $this->settled : $at;
    }

    /** The lowest window so far, of what was written before it was left too. */
    public function floor(): ?SustainedFloor
    {
        $before = $this->from->lowest();
        $now = $this->lowest->floor();

        return $before === null || ($now !== null && $now->rate->isBelow($before->rate)) ? $now : $before;
    }

    /** Behind a file system a write only fills the host's memory: there the time counts once all of it is brought down. */
    private function passed(int $bytes, float $seconds, bool $isDown = false): void
    {
        $this->untold += $bytes;
        $this->untoldSeconds += $seconds;
        if ($this->untoldSeconds > 0 && ($isDown || ($this->device instanceof Addressed && $this->untoldSeconds >= self::SAMPLE))) {
            $this->lowest->add($this->untold, $this->untoldSeconds);
            [$this->untold, $this->untoldSeconds] = [0, 0.0];
        }
    }

    /** @return bool false when the pass need not go on: it is a fake */
    private function pause(int $at, Closure $settled): bool
    {
        $began = $this->clock->now();
        if ($this->settle($at)) {
            $settled($at);
        }
        if ($this->full) {
            return false;
        }
        $bad = $this->spots >= self::MOST_SPOTS ? [] : $this->lookedBack($at);
        // Bringing down is a part of writing; looking is not.
        $this->budget->spend($began, $this->clock->now());
        if ($bad === []) {
            return true;
        }
        $diagnosis = $this->diagnosed($bad);
        if ($diagnosis->nature() === Nature::Fake) {
            $this->alarm = new Alarm($at, $bad, $diagnosis);

            return false;
        }
        $this->spots++;
        $this->lookBack?->getUsedTo(...$bad);

        return true;
    }

    /**
     * In a folder single addresses cannot be asked: data of other ones is enough to stop writing and to read back what there
     * is. What was not kept is a fake's mark only where nothing is kept up to the end, so there the writing goes on.
     *
     * @param  list<Sample>  $samples
     */
    private function diagnosed(array $samples): Diagnosis
    {
        if ($this->device instanceof Addressed) {
            return (new Narrowing(new Spots($this->device, $this->imprint)))->of($samples);
        }
        $core = Alarm::sample($samples);

        return Diagnosis::found(
            $core->firstEcho() !== null ? Condition::Aliases : Condition::Faulty,
            $this->imprint->size,
            null,
            null,
            exact: false,
        );
    }

    /** @return list<Sample> */
    private function lookedBack(int $at): array
    {
        // What is done within minutes is better seen whole.
        $left = (($this->imprint->size->count - $at) * $this->seconds) / max(1, $at);
        if ($this->lookBack === null || 2 * $left < self::NOT_WORTH) {
            return [];
        }
        $this->device->forget();

        return $this->lookBack->look($at);
    }

    private function settle(int $at): bool
    {
        $before = $this->clock->now();
        try {
            $this->device->settle();
            $this->settled = $at;

            return true;
        } catch (CannotWrite $fault) {
            $this->lacksRoom = $this->isFull($fault, $at, 0);
        } catch (CannotSettle $fault) {
            // Reading back will tell what the medium kept all the same.
            $this->note = $fault->getMessage();
        } finally {
            $this->seconds += $this->clock->now() - $before;
            $this->passed(0, $this->clock->now() - $before, true);
        }

        return false;
    }

    private function isFull(CannotWrite $fault, int $at, int $length): bool
    {
        if ($fault->full) {
            [$this->full, $this->note] = [true, $fault->getMessage()];

            return true;
        }
        $this->narrow($at, $length);

        return false;
    }

    /**
     * A refused stretch is written again in halves, so that one bad spot does not condemn its neighbours; where both ends are
     * refused, all of it is taken to be.
     */
    private function narrow(int $at, int $length): void
    {
        $sector = Appraiser::SECTOR;
        $last = $at + $length - min($length, $sector);
        if ($length <= $sector || (! $this->takes($at, $sector) && ! $this->takes($last, $at + $length - $last))) {
            $this->refused->add($at, $length);

            return;
        }
        $half = max($sector, intdiv($length, 2 * $sector) * $sector);
        foreach ([[$at, $half], [$at + $half, $length - $half]] as [$from, $part]) {
            if ($this->takes($from, $part)) {
                $this->taken += $part;
            } else {
                $this->narrow($from, $part);
            }
        }
    }

    private function takes(int $at, int $length): bool
    {
        try {
            $this->device->write($at, $this->imprint->stretch($at, $length));
            // A device that only tells later is asked at once.
            $this->device->settle();

            return true;
        } catch (CannotWrite|CannotSettle) {
            return false;
        }
    }
}
