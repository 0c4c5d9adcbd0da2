<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\Label\Contradictions;
use Tally\Label\Finding;
use Tally\Label\Line\LabelReader;
use Tally\Label\Line\LabelReading;
use Tally\Label\Mark;

/** Exit codes: 0 nothing contradicts itself, 1 something does, 2 there was nothing to read. */
final class LabelCommand extends Command
{
    protected $signature = 'tally:label
        {line : What is printed on the card, such as "128GB SDXC II U3 V60 250MB/s"}
        {--json : Print the result as JSON}';

    protected $description = 'Read a label and say what contradicts itself';

    public function handle(): int
    {
        $line = $this->argument('line');
        if (trim($line) === '') {
            $output = $this->output->getOutput();
            ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln(
                'The line is empty. Give what is printed on the card, such as "128GB SDXC II U3 V60 250MB/s".',
            );

            return 2;
        }
        $reading = LabelReader::read($line);
        $label = $reading->label();
        $findings = $label === null ? [] : Contradictions::of($label);
        if ($this->option('json') === true) {
            $this->output->writeln(
                json_encode($this->packed($reading, $findings), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $this->tell($reading, $findings);
        }

        return array_filter($findings, fn (Finding $finding): bool => $finding->severity->value === 'contradiction') === [] ? 0 : 1;
    }

    /**
     * @param  list<Finding>  $findings
     * @return array<string, mixed>
     */
    private function packed(LabelReading $reading, array $findings): array
    {
        return [
            'form' => $reading->form?->value,
            'capacity' => $reading->capacity?->count,
            'family' => $reading->family?->value,
            'bus' => $reading->bus?->value,
            'marks' => array_map(fn (Mark $mark): string => $mark->value, $reading->marks),
            'read' => $reading->read?->bytesPerSecond,
            'write' => $reading->write?->bytesPerSecond,
            'sustained' => $reading->sustained?->bytesPerSecond,
            'times' => $reading->times,
            'unknown' => $reading->unknown,
            'from' => (object) $reading->from,
            'notes' => $reading->notes,
            'findings' => array_map(
                fn (Finding $finding): array => [
                    'id' => $finding->id,
                    'severity' => $finding->severity->value,
                    'reason' => $finding->reason,
                    'source' => $finding->source,
                ],
                $findings,
            ),
        ];
    }

    /** @param  list<Finding>  $findings */
    private function tell(LabelReading $reading, array $findings): void
    {
        $rows = [
            'form' => $reading->form?->label(),
            'capacity' => $reading->capacity?->decimal(),
            'family' => $reading->family?->value,
            'bus' => $reading->bus?->label(),
            'marks' => $reading->marks === []
                    ? null
                    : implode(
                        ', ',
                        array_map(fn (Mark $mark): string => "{$mark->value} (at least {$mark->floor()->print()})", $reading->marks),
                    ),
            'read' => $reading->read?->print(),
            'write' => $reading->write?->print(),
            'sustained' => $reading->sustained?->print(),
            'times' => $reading->times === null ? null : "{$reading->times}x",
        ];
        foreach ($rows as $field => $value) {
            $this->line(
                sprintf('%-10s %s', $field, $value ?? 'not printed').
                    (isset($reading->from[$field]) ? "   from “{$reading->from[$field]}”" : ''),
            );
        }
        if ($reading->unknown !== []) {
            $this->line('not understood: '.implode(' | ', $reading->unknown));
        }
        foreach ($reading->notes as $note) {
            $this->line($note);
        }
        foreach ($findings as $finding) {
            $this->line("{$finding->severity->value}: {$finding->reason} ({$finding->source})");
        }
    }
}
