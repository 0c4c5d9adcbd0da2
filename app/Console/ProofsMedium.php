<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Runs\RunState;
use App\Runs\Conducting\LaidMedium;
use Tally\Evidence\Evidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\Source;
use Tally\Measured\Chain;
use Tally\Pattern\BlockClass;
use Tally\Probe\Proof\ProofResult;
use Tally\Quantity\Bytes;
use Tally\Record\ProofParameters;
use Tally\Record\ProofRecord;
use Tally\Record\RunKind;
use Tally\Value\Values;
use Tally\Verdict\Judge;
use Tally\Verdict\Reason;
use Tally\Verdict\Verdict;

/** What both ways of proving have in common at the terminal: what they tell, as words or JSON, and how they end. */
abstract class ProofsMedium extends RunsOnMedium
{
    protected function conclude(MediumAtHand $medium, LaidMedium $laid, RunKind $kind, ProofResult $result): int
    {
        $record = ProofRecord::of($result, $laid->extent($medium->size), $laid->device->facts()->manner);
        $verdict = Judge::judge(
            new Evidence($this->label($medium, $laid), proofs: [new ProofEvidence(new Source('this run'), Chain::unnamed(), $record)]),
        );
        if ($this->option('json') === true) {
            $this->json([
                'kind' => $kind->value,
                ...Values::write($record),
                'verdict' => $verdict->kind->value,
                'reasons' => $verdict->reasons,
                'proves' => $record->proves(),
                'leaves_open' => $record->leavesOpen(),
                'reinsert' => $record->asksForReinsert(),
                'stopped' => $result->stopped,
            ]);
        } else {
            $this->tell($record, $verdict);
        }
        if ($medium->card !== null) {
            $state = RunState::ended($result->stopped, $result->cutShort);
            $this->file(
                $medium->card,
                $kind,
                new ProofParameters($medium->size),
                $record,
                traces: ['write' => $result->writeTrace, 'read' => $result->readTrace],
                state: $state,
                message: $result->cutShort ?? $result->note,
                medium: $laid->device->facts()->identity,
            );
        }

        return $this->exitCode($result, $record);
    }

    private function exitCode(ProofResult $result, ProofRecord $record): int
    {
        if (! $record->bad()->isZero()) {
            return self::DOES_NOT_HOLD;
        }
        if ($result->isComplete() || ($result->screen !== null && ! $result->stopped)) {
            return self::HOLDS;
        }
        $this->complain(
            $result->cutShort ??
                ($result->note ??
                    "Stopped: {$record->write->bytes->decimal()} of {$record->size->decimal()} written, ".
                        "{$record->came()}. The rest is not proven."),
        );

        return self::COULD_NOT_RUN;
    }

    private function tell(ProofRecord $record, Verdict $verdict): void
    {
        $this->line(
            "{$verdict->kind->value}. ".implode(' ', array_map(fn (Reason $reason): string => $reason->sentence(), $verdict->reasons)),
        );
        $this->line(sprintf('%-12s %s (%s)', 'tested', $record->size->decimal(), $record->size->binary()));
        $capacity = $record->diagnosis->capacity;
        $this->line(
            sprintf(
                '%-12s %s',
                'capacity',
                $record->isOnlyScreened()
                    ? "not proven; it shows {$record->size->decimal()}"
                    : ($record->diagnosis->exact ? '' : 'about ')."{$capacity->decimal()} ({$capacity->count} bytes)",
            ),
        );
        if ($record->diagnosis->wrap !== null) {
            $this->line(
                sprintf(
                    '%-12s %s (%d bytes), from byte %d on',
                    'starts over',
                    Bytes::of($record->diagnosis->wrap)->decimal(),
                    $record->diagnosis->wrap,
                    $record->diagnosis->wrapFrom ?? 0,
                ),
            );
        }
        foreach (BlockClass::cases() as $class) {
            $bytes = Bytes::of($record->classes[$class->value] ?? 0);
            if (! $bytes->isZero()) {
                $this->line(sprintf('%-12s %s: %s', $class->value, $bytes->decimal(), $class->meaning()));
            }
        }
        foreach (['written' => $record->write, 'read back' => $record->read] as $way => $passage) {
            $this->line(
                sprintf(
                    '%-12s %s in %s, %s',
                    $way,
                    $passage->bytes->decimal(),
                    $passage->span->print(),
                    $passage->rate()?->printDown() ?? 'not measured',
                ),
            );
        }
        if ($record->alarmAt !== null) {
            $alarm = Bytes::of($record->alarmAt)->decimal();
            $this->line(
                "Ended early: after {$alarm} some of what had been written before had changed. The rest was not written, because ".
                'nothing more was to be learnt.',
            );
        }
        foreach ([$record->diagnosis->condition->because(), ...$record->diagnosis->also] as $sentence) {
            $this->line($sentence);
        }
        $this->line(
            $record->forgot
                ? 'The host’s cache was cleared before the data was read back.'
                : 'This host’s cache could not be cleared first: the reading proves little.',
        );
        if ($record->how !== null) {
            $this->line("The medium was reached {$record->how}.");
        }
        $this->line("Proves: {$record->proves()}");
        foreach ($record->leavesOpen() as $open) {
            $this->line("Does not prove: {$open}");
        }
    }
}
