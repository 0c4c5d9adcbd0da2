<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\MediumAtHand;
use App\Console\RunsOnMedium;
use App\Console\TerminalWatch;
use App\Runs\Bench;
use App\Runs\ProofRecord;
use App\Runs\RunKind;
use App\Runs\RunState;
use Tally\Chain\Path;
use Tally\Pattern\BlockClass;
use Tally\Probe\Proof\FullProof;
use Tally\Probe\Proof\ProofResult;
use Tally\Quantity\Bytes;
use Tally\Verdict\Evidence;
use Tally\Verdict\Judge;
use Tally\Verdict\Reason;
use Tally\Verdict\Verdict;

/** Exit codes: 0 all holds, 1 something does not, 2 could not run (to the end). */
final class ProveCommand extends RunsOnMedium
{
    protected $signature = 'tally:prove
        {path : The folder where the card is mounted, or stand-in:SPEC such as stand-in:wraps,size=32GB,true=8GB}
        {--size= : How much to prove, such as 8GB; all free space if left out}
        {--card= : Tag of the card to file the result under}
        {--json : Print the result as JSON}';

    protected $description = 'Fill a card with known data and read all of it back';

    protected function lay(MediumAtHand $medium): Bench
    {
        return $medium->lay($medium->size);
    }

    protected function conduct(MediumAtHand $medium, Bench $bench, TerminalWatch $watch): int
    {
        $result = FullProof::on($bench->device, $bench->clock, $watch, $medium->size);
        $watch->finish();
        $record = ProofRecord::of($result);
        $verdict = Judge::judge(new Evidence($this->label($medium, $bench), [], [$record->evidence('this run', Path::unnamed())]));
        if ($this->option('json') === true) {
            $this->json([...$record->pack(), 'verdict' => $verdict->kind->value, 'reasons' => array_map(fn (Reason $reason): string => $reason->sentence(), $verdict->reasons), 'stopped' => $result->stopped]);
        } else {
            $this->tell($record, $verdict);
        }
        if ($medium->card !== null) {
            $state = RunState::ended($result->stopped, $result->cutShort);
            $this->file($medium->card, RunKind::Proof, ['size' => $result->size->count, 'runs' => 1], $record->pack(), ['write' => $result->writeTrace, 'read' => $result->readTrace], $state, $result->cutShort ?? $result->note);
        }

        return $this->exitCode($result, $record);
    }

    private function exitCode(ProofResult $result, ProofRecord $record): int
    {
        if (! $record->bad()->isZero()) {
            return self::DOES_NOT_HOLD;
        }
        if ($result->isComplete()) {
            return self::HOLDS;
        }
        $this->complain($result->cutShort ?? $result->note
            ?? "Stopped: {$record->write->bytes->decimal()} of {$record->size->decimal()} written, {$record->covered()->decimal()} read back. The rest is not proven.");

        return self::COULD_NOT_RUN;
    }

    private function tell(ProofRecord $record, Verdict $verdict): void
    {
        $this->line("{$verdict->kind->value}. ".implode(' ', array_map(fn (Reason $reason): string => $reason->sentence(), $verdict->reasons)));
        $this->line(sprintf('%-12s %s (%s)', 'tested', $record->size->decimal(), $record->size->binary()));
        $this->line(sprintf('%-12s %s (%d bytes)', 'capacity', $record->diagnosis->capacity->decimal(), $record->diagnosis->capacity->count));
        foreach (BlockClass::cases() as $class) {
            $bytes = Bytes::of($record->classes[$class->value] ?? 0);
            if (! $bytes->isZero()) {
                $this->line(sprintf('%-12s %s: %s', $class->value, $bytes->decimal(), $class->meaning()));
            }
        }
        foreach (['written' => $record->write, 'read back' => $record->read] as $way => $passage) {
            $this->line(sprintf('%-12s %s in %s, %s', $way, $passage->bytes->decimal(), $passage->span->print(), $passage->rate()?->print() ?? 'not measured'));
        }
        $this->line($record->forgot ? 'The host was made to forget the data before it was read back.' : 'This host could not be made to forget the data first: the reading proves little.');
    }
}
