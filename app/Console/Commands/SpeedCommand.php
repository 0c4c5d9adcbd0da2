<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\MediumAtHand;
use App\Console\RunsOnMedium;
use App\Console\SpeedOptions;
use App\Console\TerminalObserver;
use App\Models\Runs\RunState;
use App\Models\Stations\Station;
use App\Pages\Card\CoursePicture;
use App\Runs\Conducting\LaidMedium;
use App\Stations\BenchEngine;
use InvalidArgumentException;
use Tally\Device\HostLoad;
use Tally\Device\Load;
use Tally\Evidence\SpeedReading;
use Tally\Measured\Chain;
use Tally\Measured\Instrument;
use Tally\Measured\Way;
use Tally\Probe\SpeedPlan;
use Tally\Probe\SpeedRun;
use Tally\Probe\SustainedRun;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\Suspicion;
use Tally\Reading\WayReading;
use Tally\Record\RunKind;
use Tally\Record\SizeParameters;
use Tally\Record\SpeedParameters;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;
use Tally\Value\Values;

/** Exit codes: 0 measured, 1 data came back changed, 2 could not run (to the end). */
final class SpeedCommand extends RunsOnMedium
{
    protected $signature = 'tally:speed
        {path : The folder where the card is mounted, or stand-in:SPEC such as stand-in:honest,size=64GB,write=60MB/s}
        {--size= : How much each run writes and reads back; 1GB without it, or all there is with --sustained}
        {--runs=5 : How many runs, 1 to 50}
        {--from= : Where the region begins (stand-ins only)}
        {--block= : How much is moved in one call: 1MiB, 2MiB, 4MiB and so on to 64MiB}
        {--order=alternating : alternating, or writes-first}
        {--warm-up=0 : Runs before the others that are not counted, 0 to 5}
        {--pause= : How long to cool after each run, such as 30s}
        {--sustained : One long write instead: its lowest window, plateaus and cliffs}
        {--card= : Tag of the card to file the result under}
        {--lost= : Why footage on it that is not secured may be lost}
        {--json : Print the result as JSON}';

    protected $description = 'Measure write and read speed, the clock stopped only when the data is on the card';

    protected function lay(MediumAtHand $medium): LaidMedium
    {
        if ($this->option('sustained') === true) {
            return $medium->lay($medium->size);
        }
        // Judged before anything is written, so that a slip costs nothing.
        $plan = SpeedOptions::plan($this->input, $medium->size ?? Bytes::gigabytes(1));
        if (! $plan->from->isZero() && ! $medium->isSimulated()) {
            throw new InvalidArgumentException(
                '--from: in a folder the file system decides where data lies, so only a stand-in can begin further on. Leave it out.',
            );
        }

        return $medium->lay($plan->region);
    }

    protected function conduct(MediumAtHand $medium, LaidMedium $laid, TerminalObserver $watch): int
    {
        return $this->option('sustained') === true
            ? $this->sustained($medium, $laid, $watch)
            : $this->speed($medium, $laid, $watch, SpeedOptions::plan($this->input, $medium->size ?? Bytes::gigabytes(1)));
    }

    private function speed(MediumAtHand $medium, LaidMedium $laid, TerminalObserver $watch, SpeedPlan $plan): int
    {
        $before = HostLoad::now();
        $result = (new SpeedRun($plan))->on($laid->device, $laid->clock, $watch);
        $watch->finish();
        $bench = $laid->isSimulated ? null : self::bench($plan, $before->until(HostLoad::now()));
        $record = SpeedRecord::of($result, $plan);
        $reading = SpeedReading::of($record, Chain::unnamed(), $this->label($medium, $laid));
        if ($this->option('json') === true) {
            $this->json([
                ...Values::write($record),
                'stopped' => $result->stopped,
                'write' => $this->figures(Way::Write, $reading->write, $bench),
                'read' => $this->figures(Way::Read, $reading->read, $bench),
            ]);
        } else {
            $this->tell(Way::Write, $reading->write, $record->covers(), $bench);
            $this->tell(Way::Read, $reading->read, $record->covers(), $bench);
        }
        if ($medium->card !== null && ($result->writes !== [] || $result->cutShort === null)) {
            $state = RunState::ended($result->stopped, $result->cutShort);
            $this->file(
                $medium->card,
                RunKind::Speed,
                new SpeedParameters($plan),
                $record,
                traces: ['write' => $result->trace, 'read' => []],
                state: $state,
                message: $result->cutShort,
                medium: $laid->device->facts()->identity,
            );
        }
        if ($result->stopped) {
            $this->complain($result->cutShort ?? 'Stopped: only whole passages were counted.');

            return self::COULD_NOT_RUN;
        }

        return $record->wrong === 0 ? self::HOLDS : self::DOES_NOT_HOLD;
    }

    private function sustained(MediumAtHand $medium, LaidMedium $laid, TerminalObserver $watch): int
    {
        $result = (new SustainedRun($medium->size))->on($laid->device, $laid->clock, $watch);
        $watch->finish();
        $record = SustainedRecord::of($result);
        if ($this->option('json') === true) {
            $this->json([...Values::write($record), 'cliffs' => $record->course->cliffs(), 'stopped' => $result->stopped]);
        } else {
            $this->line(
                "wrote  {$record->write->bytes->decimal()} in {$record->write->span->print()}".
                    ($record->write->rate() === null ? '' : ", {$record->write->rate()->printDown()} on average"),
            );
            $this->line('       '.CoursePicture::summary($record));
            $this->line('       A proxy for a speed class, not its compliance test.');
        }
        if ($medium->card !== null && ! $record->write->bytes->isZero()) {
            $this->file(
                $medium->card,
                RunKind::Sustained,
                new SizeParameters($medium->size),
                $record,
                traces: ['write' => $result->trace, 'read' => [], 'heat' => $result->heat],
                state: RunState::ended($result->stopped, $result->cutShort),
                message: $result->cutShort ?? $result->note,
                medium: $laid->device->facts()->identity,
            );
        }
        $why = $result->cutShort ?? ($result->stopped ? 'Stopped: what was settled before counts.' : $result->note);
        if ($why !== null) {
            $this->complain($why);
        }

        return $result->stopped || $result->cutShort !== null ? self::COULD_NOT_RUN : self::HOLDS;
    }

    /** @return array<string, mixed>|null bytes a second */
    private function figures(Way $way, ?WayReading $reading, ?Instrument $bench): ?array
    {
        return $reading === null
            ? null
            : [
                'runs' => $reading->summary->count,
                'mean' => $reading->summary->mean,
                'median' => $reading->summary->median,
                'deviation' => $reading->summary->deviation,
                'variation' => $reading->summary->variation(),
                'margin95' => $reading->summary->margin(),
                'outliers' => $reading->outliers,
                'suspicions' => array_map(fn (Suspicion $suspicion): string => $suspicion->value, $reading->suspicions),
                'mayBeTheBench' => $bench?->mayHold($reading->median(), $way),
            ];
    }

    /** What this bench gives, and what it had to do; null where it is in no book, or the books are away. */
    private static function bench(SpeedPlan $plan, ?Load $load): ?Instrument
    {
        $bench = BenchEngine::inBlocks($plan->block, rescue(fn (): ?Instrument => Station::here()?->instrument(), null, false));

        return $load === null ? $bench : $bench?->during($load);
    }

    private function tell(Way $way, ?WayReading $reading, string $covers, ?Instrument $bench): void
    {
        if ($reading === null) {
            $this->line(sprintf('%-6s not measured', $way->value));

            return;
        }
        $summary = $reading->summary;
        $spread =
            $summary->margin() === null ? 'a single look' : '± '.Rate::bytesPerSecond(max(1, $summary->margin()))->print().' at 95 %';
        $median = $reading->median()->printDown();
        $this->line(sprintf('%-6s %s, median of %d, %s, %s', $way->value, $median, $summary->count, $spread, $covers));
        if ($summary->isUnsteady()) {
            $this->line('       unsteady: run again');
        }
        if ($reading->outliers !== []) {
            $this->line("       {$reading->apart()}");
        }
        $into = $bench?->ranInto($reading->median(), $way) ?? '';
        if (! $reading->isTrusted()) {
            $this->line("       not trusted: {$reading->why()}");
        } elseif ($into !== '') {
            $this->line("       {$into}");
        }
    }
}
