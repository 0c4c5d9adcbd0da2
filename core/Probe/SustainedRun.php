<?php

declare(strict_types=1);

namespace Tally\Probe;

use InvalidArgumentException;
use Tally\Device\Clock;
use Tally\Device\Device;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\EndsRun;
use Tally\Pattern\TestPattern;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\ProgressSaver;
use Tally\Probe\Observing\Unobserved;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Span;
use Tally\Reading\Course\LowestWindow;

/**
 * One long write, to a size or to the end of the medium. About once a second it waits until what was written is on the
 * medium, so that each sample tells the medium's speed and not the host's memory.
 */
final readonly class SustainedRun
{
    private const SETTLE_EVERY = 1.0;

    /**
     * @param  Bytes|null  $region  how much to write; null for all there is
     *
     * @throws InvalidArgumentException
     */
    public function __construct(private ?Bytes $region = null)
    {
        if ($region?->isZero() === true) {
            throw new InvalidArgumentException('A sustained run writes something; 0 B were given.');
        }
    }

    /** @param  ProgressSaver<SustainedResult>|null  $saver */
    public function on(Device $device, Clock $clock, Observer $observer = new Unobserved(), ?ProgressSaver $saver = null): SustainedResult
    {
        $size = min($this->region->count ?? PHP_INT_MAX, $device->size()->count);
        $imprint = TestPattern::random(Bytes::of($size));
        $beat = new Pacemaker($clock, $observer, $size);
        $trace = new Trace($device->stretch());
        $lowest = new LowestWindow();
        $heat = new HeatTrack($device);
        [$at, $settled, $seconds, $began] = [0, 0, 0.0, $clock->now()];
        [$note, $cutShort] = [null, null];
        try {
            while ($at < $size && ! $beat->wantsStop()) {
                $length = min($device->stretch(), $size - $at);
                try {
                    $device->write($at, $imprint->stretch($at, $length));
                } catch (CannotWrite $fault) {
                    // Full is an end that was looked for; anything else is a fault.
                    [$note, $cutShort] = $fault->full ? [$fault->getMessage(), null] : [null, $fault->getMessage()];
                    break;
                }
                $at += $length;
                $beat->beat(Phase::Writing, 1, $at, $size, moved: $length);
                if ($clock->now() - $began >= self::SETTLE_EVERY || $at === $size) {
                    $device->settle();
                    $took = $clock->now() - $began;
                    $trace->add($at - $settled, $took);
                    $lowest->add($at - $settled, $took);
                    $heat->look($at);
                    $seconds += $took;
                    $settled = $at;
                    $saver?->keep(
                        fn (): SustainedResult => new SustainedResult(
                            new Passage(Bytes::of($settled), Span::seconds($seconds)),
                            $trace->points(),
                            true,
                            null,
                            cutShort: null,
                            floor: $lowest->floor(),
                            heat: $heat->points(),
                        ),
                    );
                    $began = $clock->now();
                }
            }
            $device->forget();
        } catch (EndsRun $gone) {
            $cutShort = $gone->getMessage();
        } catch (CannotSettle $fault) {
            // What was not settled is not counted: nobody knows whether it is on the medium.
            $cutShort = $fault->getMessage();
        }

        return new SustainedResult(
            new Passage(Bytes::of($settled), Span::seconds($seconds)),
            $trace->points(),
            $at < $size && $note === null && $cutShort === null,
            $note,
            cutShort: $cutShort,
            floor: $lowest->floor(),
            heat: $heat->points(),
        );
    }
}
