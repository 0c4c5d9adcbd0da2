<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TerminalObserver;
use App\Offload\Carrying\CopyLook;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\HostClock;
use Tally\Transfer\Filed\FolderFinding;
use Tally\Transfer\Filed\TreeCheck;
use Tally\Transfer\Filed\TreeFinding;
use Tally\Transfer\FilePath;
use Tally\Value\Values;

/** Exit codes: 0 all as the lists say, 1 something differs or is missing, 2 could not look. */
final class VerifyCommand extends Command
{
    protected $signature = 'tally:verify
        {folder : The folder of a card or of a shoot, a whole drive, or one list}
        {--by= : Who looks, for the books}
        {--json : Print the finding as JSON}';

    protected $description = 'Hold everything below a folder against its lists: what is missing, changed, extra, and what has no list';

    public function handle(): int
    {
        $watch = new TerminalObserver($this->output->getOutput());
        $watch->listen();
        try {
            $finding = TreeCheck::of($this->argument('folder'))->run(new HostClock(), $watch);
        } catch (DeviceFault $fault) {
            $output = $this->output->getOutput();
            $error = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
            $error->writeln($fault->getMessage(), OutputInterface::OUTPUT_RAW);

            return 2;
        } finally {
            $watch->finish();
        }
        $by = is_string($by = $this->option('by')) && trim($by) !== '' ? trim($by) : get_current_user();
        $entered = CopyLook::enter($finding, $by);
        if ($this->option('json') === true) {
            $this->output->writeln(
                json_encode(
                    [...Values::write($finding), 'entered' => $entered],
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                ),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $this->tell($finding);
            $this->line(match ($entered) {
                null => 'The books could not be reached: what was found is entered nowhere.',
                0 => 'None of it is in the books of this house.',
                1 => 'Entered in the books, with the copy that it is.',
                default => "Entered in the books, with the {$entered} copies that they are.",
            });
        }

        return match (true) {
            ! $finding->isAsListed() => 1,
            $finding->wasStopped() => 2,
            default => 0,
        };
    }

    private function tell(TreeFinding $finding): void
    {
        foreach ($finding->folders as $one) {
            $this->raw(FilePath::shown($one->folder).": {$this->words($one)}");
            foreach ($one->lines() as $line) {
                $this->raw("  {$line}");
            }
        }
        foreach ($finding->withoutList as $folder) {
            $this->raw(FilePath::shown($folder).': no list, so nothing can be said of it.');
        }
    }

    private function words(FolderFinding $one): string
    {
        $files = $one->same === 1 ? '1 file is' : "{$one->same} files are";

        return "{$files} as the lists beside it say".
            ($one->isPart ? '; a part: this copy was never whole' : '').
            ($one->forgot ? '' : '; the host could not be made to forget, so it may have come from its memory').
            ($one->stopped ? '. Stopped before its end: what was not read is not told.' : '.');
    }

    private function raw(string $line): void
    {
        $this->output->writeln($line, OutputInterface::OUTPUT_RAW);
    }
}
