<?php

declare(strict_types=1);

namespace Tally\Probe\Screen;

use Tally\Device\Clock;
use Tally\Device\Device;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\EndsRun;
use Tally\Device\Fault\UnusablePath;
use Tally\Pattern\TestPattern;
use Tally\Probe\EarlyCheck\Alarm;
use Tally\Probe\EarlyCheck\Sample;
use Tally\Probe\EarlyCheck\Spots;
use Tally\Probe\Narrowing\Narrowing;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Unobserved;
use Tally\Probe\Proof\ProofResult;
use Tally\Probe\Proof\SameCard;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Span;
use Tally\Reading\BlockMap;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;

/**
 * Stamps the places of a plan, settles, makes the host forget, reads all of them back; where some came back wrong, asks
 * further until kind, lap and capacity are known.
 */
final class QuickScreen
{
    private int $written = 0;

    private int $read = 0;

    private float $writing = 0.0;

    private float $reading = 0.0;

    private bool $forgot = false;

    private ?string $note = null;

    /** @var list<Sample> */
    private array $samples = [];

    private readonly Spots $spots;

    private function __construct(
        private readonly Device $device,
        private readonly Clock $clock,
        private readonly Pacemaker $beat,
        private readonly ScreenPlan $plan,
        private readonly TestPattern $imprint,
    ) {
        $this->spots = new Spots($device, $imprint);
    }

    public static function on(
        Device $device,
        Clock $clock,
        Observer $observer = new Unobserved(),
        int $points = ScreenPlan::POINTS,
        ?TestPattern $imprint = null,
    ): ProofResult {
        $imprint ??= TestPattern::random($device->size());
        $plan = new ScreenPlan($device->size(), $points, $imprint->run);

        $beat = new Pacemaker($clock, $observer, 2 * $plan->total()->count);

        return (new self($device, $clock, $beat, $plan, imprint: $imprint))->run(true);
    }

    /**
     * Reads the places of an earlier screen once more, after the card was taken out and put in again: what was only in a
     * cache is gone then.
     *
     * @throws UnusablePath|EndsRun when it is another card
     */
    public static function again(ScreenPlan $plan, Device $device, Clock $clock, Observer $observer = new Unobserved()): ProofResult
    {
        $imprint = new TestPattern($plan->seed, $plan->size);
        SameCard::mustBe($device, $imprint, array_slice($plan->drawn(), 0, 16));

        return (new self($device, $clock, new Pacemaker($clock, $observer, $plan->total()->count), $plan, imprint: $imprint))->run(false);
    }

    private function run(bool $write): ProofResult
    {
        [$stopped, $cutShort, $diagnosis] = [true, null, null];
        try {
            if (! $write || $this->write()) {
                $this->forgot = $this->device->forget();
                $stopped = ! $this->readBack();
            }
            $bad = array_filter($this->samples, fn (Sample $sample): bool => ! $sample->holds());
            if ($bad !== [] && ! $stopped) {
                $diagnosis = (new Narrowing($this->spots))->of($this->samples);
            }
        } catch (EndsRun $gone) {
            [$stopped, $cutShort] = [true, $gone->getMessage()];
        }
        $core = Alarm::sample($this->samples);

        return new ProofResult(
            $this->imprint->run,
            $this->plan->size,
            $core,
            $diagnosis ?? $this->sofar($core, $stopped),
            write: new Passage(Bytes::of($this->written), Span::seconds($this->writing)),
            read: new Passage(Bytes::of($this->read), Span::seconds($this->reading)),
            forgot: $this->forgot,
            writeTrace: [],
            readTrace: [],
            stopped: $stopped,
            note: $this->note,
            cutShort: $cutShort,
            screen: $this->plan,
        );
    }

    /** Of a screen that was broken off only that something is wrong can be told; of a whole one, that nothing was met. */
    private function sofar(BlockMap $core, bool $stopped): Diagnosis
    {
        $of = Diagnosis::of($core);

        return match (true) {
            $of->condition === Condition::Unknown => $of,
            $core->bad() > 0 => Diagnosis::found(Condition::Faulty, Bytes::of(0), null, null, exact: false),
            default => Diagnosis::found(
                $stopped ? Condition::Unknown : Condition::Whole,
                $stopped ? Bytes::of(0) : $this->plan->size,
                null,
                null,
                exact: false,
            ),
        };
    }

    /** @return bool false when it was stopped */
    private function write(): bool
    {
        $total = $this->plan->total()->count;
        // The dense stretch last: whatever a cache still remembers then is that.
        foreach ($this->steps() as [$at, $length]) {
            if ($this->beat->wantsStop()) {
                return false;
            }
            $before = $this->clock->now();
            try {
                $this->device->write($at, $this->imprint->stretch($at, $length));
            } catch (CannotWrite $fault) {
                // Reading it back will tell; a full disk cannot be screened further.
                $this->note = $fault->getMessage();
                if ($fault->full) {
                    return false;
                }
            }
            $this->writing += $this->clock->now() - $before;
            $this->written += $length;
            $this->beat->beat(Phase::Writing, 1, $this->written, $total, moved: $length);
        }
        $before = $this->clock->now();
        $this->beat->beat(Phase::Settling, 1, $total, $total, moved: 0);
        try {
            $this->device->settle();
        } catch (CannotWrite|CannotSettle $fault) {
            $this->note = $fault->getMessage();
            // Where there was no room, nobody knows which of the places are there: none of them is held against the card.
            if ($fault instanceof CannotWrite && $fault->full) {
                return false;
            }
        }
        $this->writing += $this->clock->now() - $before;

        return true;
    }

    /** @return bool false when it was stopped */
    private function readBack(): bool
    {
        $total = $this->plan->total()->count;
        foreach ($this->steps() as [$at, $length]) {
            if ($this->beat->wantsStop()) {
                return false;
            }
            $before = $this->clock->now();
            $this->samples[] = new Sample($this->spots->look($at, $length));
            $this->reading += $this->clock->now() - $before;
            $this->read += $length;
            $this->beat->beat(Phase::Reading, 1, $this->read, $total, moved: $length);
        }

        return true;
    }

    /** @return iterable<array{int, int}> address and length, in the order in which they are written and read */
    private function steps(): iterable
    {
        foreach ($this->plan->places() as $place) {
            yield [$place, min($this->plan->length(), $this->plan->size->count - $place)];
        }
        for ($at = $this->plan->denseFrom(); $at < $this->plan->size->count; $at += TestPattern::BLOCK) {
            yield [$at, min(TestPattern::BLOCK, $this->plan->size->count - $at)];
        }
    }
}
