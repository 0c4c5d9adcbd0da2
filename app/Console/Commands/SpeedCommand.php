<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\MediumAtHand;
use App\Console\RunsOnMedium;
use App\Console\TerminalWatch;
use App\Runs\Bench;
use App\Runs\ChainRecord;
use App\Runs\RunKind;
use App\Runs\RunState;
use App\Runs\SpeedRecord;
use InvalidArgumentException;
use Tally\Probe\SpeedRun;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\Suspicion;
use Tally\Reading\WayReading;

/** Exit codes: 0 measured, 1 data came back changed, 2 could not run (to the end). */
final class SpeedCommand extends RunsOnMedium
{
    protected $signature = 'tally:speed
        {path : The folder where the card is mounted, or stand-in:SPEC such as stand-in:honest,size=64GB,write=60MB/s}
        {--size=1GB : How much each run writes and reads back}
        {--runs=5 : How many runs, 1 to 50}
        {--card= : Tag of the card to file the result under}
        {--json : Print the result as JSON}';

    protected $description = 'Measure write and read speed, the clock stopped only when the data is on the card';

    protected function lay(MediumAtHand $medium): Bench
    {
        // Judged before anything is written, so that a slip costs nothing.
        $this->probe($medium);

        return $medium->lay($medium->size);
    }

    protected function conduct(MediumAtHand $medium, Bench $bench, TerminalWatch $watch): int
    {
        $result = $this->probe($medium)->on($bench->device, $bench->clock, $watch);
        $watch->finish();
        $record = SpeedRecord::of($result);
        $reading = $record->read(ChainRecord::unnamed(), $medium->card?->label());
        if ($this->option('json') === true) {
            $this->json([...$record->pack(), 'stopped' => $result->stopped, 'write' => $this->figures($reading->write), 'read' => $this->figures($reading->read)]);
        } else {
            $this->tell('write', $reading->write, $record);
            $this->tell('read', $reading->read, $record);
        }
        if ($medium->card !== null) {
            $state = RunState::ended($result->stopped, $result->cutShort);
            $this->file($medium->card, RunKind::Speed, $record->region, count($result->looks), $record->pack(), ['write' => $result->trace, 'read' => []], $state, $result->cutShort);
        }
        if ($result->stopped) {
            $this->complain($result->cutShort ?? 'Stopped: only whole runs were counted.');

            return self::COULD_NOT_RUN;
        }

        return $record->wrong === 0 ? self::HOLDS : self::DOES_NOT_HOLD;
    }

    private function probe(MediumAtHand $medium): SpeedRun
    {
        $runs = $this->option('runs');
        if (! is_string($runs) || preg_match('/^\d{1,3}$/', $runs) !== 1) {
            throw new InvalidArgumentException('--runs was “'.(is_string($runs) ? $runs : '').'”: give a whole number from 1 to 50.');
        }

        return new SpeedRun($medium->size ?? Bytes::gigabytes(1), (int) $runs);
    }

    /** @return array<string, mixed>|null bytes a second */
    private function figures(?WayReading $way): ?array
    {
        return $way === null ? null : [
            'runs' => $way->summary->count,
            'mean' => $way->summary->mean,
            'median' => $way->summary->median,
            'deviation' => $way->summary->deviation,
            'variation' => $way->summary->variation(),
            'margin95' => $way->summary->margin,
            'suspicions' => array_map(fn (Suspicion $suspicion): string => $suspicion->value, $way->suspicions),
        ];
    }

    private function tell(string $name, ?WayReading $way, SpeedRecord $record): void
    {
        if ($way === null) {
            $this->line(sprintf('%-6s not measured', $name));

            return;
        }
        $summary = $way->summary;
        $spread = $summary->margin === null ? 'a single look' : '± '.Rate::bytesPerSecond(max(1, $summary->margin))->print().' at 95 %';
        $this->line(sprintf('%-6s %s, median of %d, %s, first %s', $name, $way->median()->print(), $summary->count, $spread, $record->region->decimal()));
        if ($summary->isUnsteady()) {
            $this->line('       unsteady: run again');
        }
        foreach ($way->suspicions as $suspicion) {
            $this->line("       not trusted: {$suspicion->sentence()}");
        }
    }
}
