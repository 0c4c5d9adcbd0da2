<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TerminalObserver;
use App\Stations\StationFolders;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\HostClock;
use Tally\Quantity\Span;
use Tally\Reading\Copy\Lap;
use Tally\Record\CopyRecord;
use Tally\Transfer\TimedCopy;
use Tally\Transfer\TimedResult;
use Tally\Value\Values;

/** Exit codes: 0 copied (and read back alike), 1 a file did not read back as it was, 2 could not run (to the end). */
final class CopyCommand extends Command
{
    protected $signature = 'tally:copy
        {source : The folder to copy, such as that of a mounted card}
        {into : The folder that the copy goes into; nothing is overwritten}
        {--verify : Read the copy back and compare checksums}
        {--json : Print the result as JSON}';

    protected $description = 'Copy a real folder, timed: files, bytes, what a file costs, and when what was done';

    public function handle(): int
    {
        $watch = new TerminalObserver($this->output->getOutput());
        $watch->listen();
        $text = fn (string $name): string => is_string($this->argument($name)) ? $this->argument($name) : '';
        $folders = StationFolders::anywhere();
        try {
            $result = TimedCopy::of(
                $folders->admitWithin($text('source')),
                $folders->admitWithin($text('into')),
                $this->option('verify') === true,
            )->run(new HostClock(), $watch);
        } catch (DeviceFault $fault) {
            $this->complain($fault->getMessage());

            return 2;
        } finally {
            $watch->finish();
        }
        $record = CopyRecord::of($result);
        if ($this->option('json') === true) {
            $this->output->writeln(
                json_encode(
                    [
                        ...Values::write($record),
                        'done' => $record->reading()?->done()->value,
                        'rate' => $record->reading()?->rate()?->bytesPerSecond,
                        'stopped' => $result->stopped,
                    ],
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
                ),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $this->tell($record);
        }

        return $this->exitCode($result);
    }

    private function tell(CopyRecord $record): void
    {
        $reading = $record->reading();
        $this->line(
            ($record->files ?? 0).
                ($record->files === 1 ? ' file, ' : ' files, ').
                $record->bytes->decimal().
                ($record->target === null ? '' : ", in {$record->target}"),
        );
        foreach ($record->laps as $lap => $seconds) {
            $this->line(
                sprintf(
                    '%-20s %s, %s',
                    Lap::from($lap)->words(),
                    Span::seconds($seconds)->print(),
                    $reading?->rate(Lap::from($lap))?->print() ?? 'no whole file',
                ),
            );
        }
        if ($record->overhead !== null) {
            $this->line($record->overhead);
        }
        if ($record->skipped > 0) {
            $this->line("{$record->skipped} links or special files were skipped");
        }
        if (! $record->forgot) {
            $this->line('This host’s cache could not be cleared first: the times may be those of its memory.');
        }
    }

    private function exitCode(TimedResult $result): int
    {
        if ($result->different !== []) {
            $this->complain(
                count($result->different).' did not read back as they were: '.implode(', ', array_slice($result->different, 0, 5)),
            );

            return 1;
        }
        if ($result->stopped || $result->cutShort !== null) {
            $this->complain($result->cutShort ?? 'Stopped: whole files stay, a piece of one was taken away.');

            return 2;
        }

        return 0;
    }

    private function complain(string $sentence): void
    {
        $output = $this->output->getOutput();
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($sentence);
    }
}
