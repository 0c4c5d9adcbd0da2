<?php

declare(strict_types=1);

namespace Tally\Probe;

use Tally\Device\Clock;
use Tally\Device\Device;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\EndsRun;
use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\TestPattern;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\ProgressSaver;
use Tally\Probe\Observing\Unobserved;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Span;

/**
 * Writes a region, settles, makes the host forget, reads it back; several times over.
 *
 * The clock of a write stops only when the data is on the medium. That of a read goes on while what came back is checked, for the
 * next stretch is on its way meanwhile: the waiting alone would come out faster than the medium is.
 * Whatever ends it early, the whole passages that were measured before stay in the result.
 */
final readonly class SpeedRun
{
    /** A pause is taken in pieces of so many seconds, so that it can be stopped. */
    private const NAP = 0.25;

    public function __construct(private SpeedPlan $plan) {}

    /** @param  ProgressSaver<SpeedResult>|null  $saver */
    public function on(Device $device, Clock $clock, Observer $observer = new Unobserved(), ?ProgressSaver $saver = null): SpeedResult
    {
        $region = Bytes::of(max(0, min($this->plan->region->count, $device->size()->count - $this->plan->from->count)));
        $course = new SpeedCourse($region, $this->plan->warmUps, $saver);
        $beat = new Pacemaker($clock, $observer, 2 * $region->count * $this->plan->passages());
        [$stopped, $cutShort] = [false, null];
        try {
            $stopped = ! ($this->plan->order === PassOrder::Alternating
                ? $this->alternate($device, $clock, $beat, $course)
                : $this->writesFirst($device, $clock, $beat, $course));
        } catch (CannotWrite|CannotSettle|EndsRun $fault) {
            [$stopped, $cutShort] = [true, $fault->getMessage()];
        }

        return $course->result($stopped, $cutShort);
    }

    /** @return bool false when it was stopped */
    private function alternate(Device $device, Clock $clock, Pacemaker $beat, SpeedCourse $course): bool
    {
        for ($run = 1; $run <= $this->plan->passages(); $run++) {
            $imprint = TestPattern::random($course->region);
            if (
                ! $this->write($device, $clock, $beat, $imprint, course: $course, run: $run) ||
                ! $this->read($device, $clock, $beat, $imprint, course: $course, run: $run) ||
                ! $this->cool($clock, $beat, $run)
            ) {
                return false;
            }
        }

        return true;
    }

    /** @return bool false when it was stopped */
    private function writesFirst(Device $device, Clock $clock, Pacemaker $beat, SpeedCourse $course): bool
    {
        $imprint = TestPattern::random($course->region);
        for ($run = 1; $run <= $this->plan->passages(); $run++) {
            $imprint = TestPattern::random($course->region);
            if (! $this->write($device, $clock, $beat, $imprint, course: $course, run: $run) || ! $this->cool($clock, $beat, 1)) {
                return false;
            }
        }
        for ($run = 1; $run <= $this->plan->passages(); $run++) {
            if (! $this->read($device, $clock, $beat, $imprint, course: $course, run: $run) || ! $this->cool($clock, $beat, $run)) {
                return false;
            }
        }

        return true;
    }

    /** @return bool false when it was stopped; after the last run there is nothing to cool for */
    private function cool(Clock $clock, Pacemaker $beat, int $run): bool
    {
        $until = $clock->now() + ($run < $this->plan->passages() ? $this->plan->pause->seconds : 0);
        for ($now = $clock->now(); $now < $until - 1e-9; $now = $clock->now()) {
            if ($beat->wantsStop()) {
                return false;
            }
            $clock->pause(min(self::NAP, $until - $now));
            $beat->beat(Phase::Cooling, $run, 0, 0, moved: 0);
        }

        return true;
    }

    /** @return bool false when it was stopped */
    private function write(Device $device, Clock $clock, Pacemaker $beat, TestPattern $imprint, SpeedCourse $course, int $run): bool
    {
        $size = $imprint->size->count;
        $block = $this->plan->block->count ?? $device->stretch();
        $trace = new Trace($block);
        $began = $clock->now();
        for ($at = 0; $at < $size; $at += $length) {
            if ($beat->wantsStop()) {
                return false;
            }
            $length = min($block, $size - $at);
            $before = $clock->now();
            $device->write($this->plan->from->count + $at, $imprint->stretch($at, $length));
            $trace->add($length, $clock->now() - $before);
            $beat->beat(Phase::Writing, $run, $at + $length, $size, moved: $length);
        }
        $beat->beat(Phase::Settling, $run, $size, $size, moved: 0);
        $device->settle();
        $course->wrote(new Passage($imprint->size, Span::seconds($clock->now() - $began)), $trace, $run);

        return true;
    }

    /** @return bool false when it was stopped */
    private function read(Device $device, Clock $clock, Pacemaker $beat, TestPattern $imprint, SpeedCourse $course, int $run): bool
    {
        $forgot = $device->forget();
        $appraiser = new Appraiser($imprint);
        $size = $imprint->size->count;
        $block = $this->plan->block->count ?? $device->stretch();
        [$seconds, $readable, $wrong] = [0.0, 0, 0];
        for ($at = 0; $at < $size; $at += $length) {
            if ($beat->wantsStop()) {
                return false;
            }
            $length = min($block, $size - $at);
            $before = $clock->now();
            try {
                $data = $device->read($this->plan->from->count + $at, $length);
                foreach ($appraiser->appraise($data, $at) as $patch) {
                    $wrong += $patch->class === BlockClass::Holds ? 0 : $patch->length;
                }
                $seconds += $clock->now() - $before;
                $readable += $length;
            } catch (CannotRead) {
                $wrong += $length;
            }
            $beat->beat(Phase::Reading, $run, $at + $length, $size, moved: $length);
        }
        $course->read(new Passage(Bytes::of($readable), Span::seconds($seconds)), $forgot, $wrong, $run);

        return true;
    }
}
