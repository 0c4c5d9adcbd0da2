<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TerminalObserver;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\HostClock;
use Tally\Record\NotUsable;
use Tally\Transfer\Filed\FolderCheck;
use Tally\Transfer\Filed\FolderFinding;
use Tally\Transfer\FilePath;

/** Exit codes: 0 all as the lists say, 1 something is missing, changed or extra, 2 could not run. */
final class VerifyCommand extends Command
{
    protected $signature = 'tally:verify
        {folder : The folder of a copy, with its lists beside it}
        {--json : Print the finding as JSON}';

    protected $description = 'Hold the folder of a copy against the lists beside it: what is missing, changed, or extra';

    public function handle(): int
    {
        $watch = new TerminalObserver($this->output->getOutput());
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, $watch->stop(...));
        }
        try {
            $finding = FolderCheck::of($this->argument('folder'))->run(new HostClock(), $watch);
        } catch (DeviceFault|NotUsable $fault) {
            $output = $this->output->getOutput();
            $error = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
            $error->writeln($fault->getMessage(), OutputInterface::OUTPUT_RAW);

            return 2;
        } finally {
            $watch->finish();
        }
        if ($this->option('json') === true) {
            $this->output->writeln(
                json_encode($finding->pack(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $this->tell($finding);
        }

        return match (true) {
            $finding->stopped => 2,
            $finding->isWhole() => 0,
            default => 1,
        };
    }

    private function tell(FolderFinding $finding): void
    {
        $this->line("{$finding->same} files are as the lists beside it say.");
        $groups = [
            'missing' => $finding->missing,
            'changed' => $finding->changed,
            'cannot be read' => $finding->unreadable,
            'extra, on no list' => $finding->extra,
        ];
        foreach ($groups as $what => $paths) {
            foreach ($paths as $path) {
                $this->output->writeln("{$what}: ".FilePath::shown($path), OutputInterface::OUTPUT_RAW);
            }
        }
        if ($finding->disputed !== []) {
            $this->line('The lists themselves say different things of '.count($finding->disputed).' files.');
        }
        if ($finding->stopped) {
            $this->line('Stopped before its end: what was not read is not told.');
        }
    }
}
