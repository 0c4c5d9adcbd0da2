<?php

declare(strict_types=1);

namespace Tally\Practice;

use Tally\Pattern\TestPattern;
use Tally\Probe\Proof\FullProof;
use Tally\Probe\Proof\ProofResult;
use Tally\Probe\Screen\QuickScreen;
use Tally\Probe\SpeedPlan;
use Tally\Probe\SpeedRun;
use Tally\Probe\SustainedRun;
use Tally\Quantity\Bytes;
use Tally\Record\Extent;
use Tally\Record\ProofRecord;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;

/** Carries a move out as on any bench: the probes that measure real cards, on a simulated medium in a made-up reader. */
final readonly class Conduct
{
    public const READINGS = 5;

    public const POINTS = 64;

    /** GB. */
    public const LONG = 12;

    public const PART = 8;

    private const FIRST = 3;

    /** In how many calls all of it is written: fewer than elsewhere, since nobody watches. */
    private const CALLS = 120;

    /** The same places at each sight of it. */
    private const PATTERN = 1;

    private SimulatedClock $clock;

    private SimulatedDevice $device;

    private function __construct(private Medium $medium, MadeUpReader $reader)
    {
        $this->clock = new SimulatedClock();
        $this->device = new SimulatedDevice($medium, $this->clock, $reader->most(), self::CALLS);
    }

    /** @param  MoveKind|null  $kind  null for the first look */
    public static function on(PracticeCard $card, MadeUpReader $reader, ?MoveKind $kind): SpeedRecord|ProofRecord|SustainedRecord
    {
        $bench = new self($card->inserted($kind), $reader);

        return match ($kind) {
            null => $bench->speed(self::FIRST),
            MoveKind::Measure => $bench->speed(self::READINGS),
            MoveKind::LongWrite => $bench->longWrite(),
            default => $bench->proof($kind),
        };
    }

    private function speed(int $readings): SpeedRecord
    {
        $plan = SpeedPlan::plain(Bytes::gigabytes(1), $readings);

        return SpeedRecord::of((new SpeedRun($plan))->on($this->device, $this->clock), $plan);
    }

    private function longWrite(): SustainedRecord
    {
        return SustainedRecord::of((new SustainedRun(Bytes::gigabytes(self::LONG)))->on($this->device, $this->clock));
    }

    private function proof(MoveKind $kind): ProofRecord
    {
        $result = match ($kind) {
            MoveKind::Screen => $this->screen(),
            MoveKind::ScreenAgain => $this->screenAgain(),
            MoveKind::Part => FullProof::on($this->device, $this->clock, upTo: Bytes::gigabytes(self::PART), lookBack: false),
            // Looking back on the way would be at other places each time.
            default => FullProof::on($this->device, $this->clock, lookBack: false),
        };

        return ProofRecord::of($result, new Extent($this->medium->shown, false), reinserted: $kind->isAgain());
    }

    private function screen(): ProofResult
    {
        $pattern = new TestPattern(self::PATTERN, $this->medium->shown);

        return QuickScreen::on($this->device, $this->clock, points: self::POINTS, imprint: $pattern);
    }

    private function screenAgain(): ProofResult
    {
        $plan = $this->screen()->screen;
        assert($plan !== null);

        return QuickScreen::again($plan, $this->device->takenOutAndIn(), $this->clock);
    }
}
