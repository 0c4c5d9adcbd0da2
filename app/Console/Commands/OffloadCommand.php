<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TerminalObserver;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\Host\RealPath;
use Tally\Device\HostClock;
use Tally\Device\Mount;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Transfer\CopyOnDrive;
use Tally\Transfer\Filed\Circumstances;
use Tally\Transfer\FilePath;
use Tally\Transfer\Source;
use Tally\Transfer\Transfer;
use Tally\Transfer\TransferResult;

/** Exit codes: 0 all copies read back the same, 1 something differs or is missing, 2 could not run. */
final class OffloadCommand extends Command
{
    protected $signature = 'tally:offload
        {from : The folder of a card}
        {--to=* : A folder on a drive; give it twice for two copies}
        {--relay : Copy to the first drive, and from there to the others}
        {--card= : The tag of the card: the copy becomes a folder of that name}
        {--resume : Go on with an offload that was not finished}
        {--json : Print the result as JSON}';

    protected $description = 'Bring the footage of a card home: copied, checksums taken, read back, listed';

    public function handle(): int
    {
        $watch = new TerminalObserver($this->output->getOutput());
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, $watch->stop(...));
        }
        $to = array_values(array_filter($this->option('to'), is_string(...)));
        if ($to === []) {
            return $this->refuse('Say where to: --to=/mnt/drive, and once more for a second copy.');
        }
        if (count(array_unique($to)) < count($to)) {
            return $this->refuse('The same folder was given twice: two copies in one place are one. Give folders on different drives.');
        }
        try {
            $source = Source::at($this->argument('from'));
            $onto = array_fill_keys($to, $this->name($source));
            $results = $this->bringHome($source, $onto, $watch);
        } catch (DeviceFault $fault) {
            $watch->finish();
            $isAnother = $fault instanceof CannotCopy && $fault->reason === 'differs';

            return $this->refuse($fault->getMessage(), $isAnother ? 1 : 2);
        }
        $watch->finish();
        foreach ($this->doubts($to) as $doubt) {
            $this->complain($doubt);
        }
        $this->option('json') === true ? $this->print($results) : $this->tell($results);
        $isHome = array_filter($results, fn (TransferResult $one): bool => ! $one->isHome()) === [];

        return $isHome ? 0 : 1;
    }

    /**
     * @param  list<string>  $to
     * @return list<string> sentences: where copies are fewer than they look
     */
    private function doubts(array $to): array
    {
        $doubts = [];
        $mounts = array_map(fn (string $folder): Mount => Mount::of(RealPath::of($folder) ?? $folder), $to);
        foreach ($mounts as $at => $mount) {
            if ($mount->isHostsOwn()) {
                $doubts[] = "“{$to[$at]}” lies on this host’s own disk. If a drive was meant, it is not mounted there.";
            }
        }
        $drives = array_unique(array_map(fn (Mount $mount): string => $mount->numbers, $mounts));

        return count($drives) < count($to)
            ? [...$doubts, 'Two of these folders lie on one drive. For clearing a card that is one copy: two are to be on two drives.']
            : $doubts;
    }

    private function name(Source $source): string
    {
        $tag = is_string($tag = $this->option('card')) ? trim($tag) : '';
        $name = $tag === '' ? basename($source->path) : $tag;

        return $name === '' ? 'card' : $name;
    }

    /**
     * @param  array<string, string>  $onto
     * @return list<TransferResult> one; of a relay one for each drive, and fewer where the first copy is not whole
     */
    private function bringHome(Source $source, array $onto, TerminalObserver $watch): array
    {
        $resume = $this->option('resume') === true;
        if ($this->option('relay') !== true || count($onto) < 2) {
            return [$this->transfer(Transfer::of($source, $onto, $resume), $watch)];
        }
        $first = array_key_first($onto);
        $relayed = Transfer::of($source, [$first => $onto[$first]], $resume);
        $results = [$this->transfer($relayed, $watch)];
        foreach (array_slice($onto, 1, null, true) as $drive => $name) {
            if (! $results[0]->isHome()) {
                break;
            }
            $copy = Source::at("{$first}/{$onto[$first]}");
            $results[] = $this->transfer(Transfer::of($copy, [$drive => $name], $resume, $relayed->whole(0)), $watch);
        }

        return $results;
    }

    private function transfer(Transfer $transfer, TerminalObserver $watch): TransferResult
    {
        $began = now()->toIso8601String();
        $result = $transfer->run(new HostClock(), $watch);
        $tag = is_string($tag = $this->option('card')) ? trim($tag) : '';
        $transfer->file(
            $result,
            new Circumstances(
                $tag === '' ? null : $tag,
                get_current_user(),
                (string) gethostname(),
                null,
                $began,
                now()->toIso8601String(),
            ),
        );

        return $result;
    }

    /** @param  list<TransferResult>  $results */
    private function print(array $results): void
    {
        $this->output->writeln(
            json_encode(
                [
                    'home' => array_filter($results, fn (TransferResult $one): bool => ! $one->isHome()) === [],
                    'transfers' => array_map(fn (TransferResult $one): array => $one->pack(), $results),
                ],
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            ),
            OutputInterface::OUTPUT_RAW,
        );
    }

    /** @param  list<TransferResult>  $results */
    private function tell(array $results): void
    {
        foreach ($results as $result) {
            $this->line(
                "{$result->files} files, ".Bytes::of($result->bytes)->decimal().' from '.FilePath::shown($result->from).', in '.
                    Span::seconds($result->seconds)->print().
                    ($result->read > 0 && $result->copied > 0
                        ? ' (read once, at '.Rate::bytesPerSecond($result->read / $result->copied)->print().')'
                        : ''),
            );
            foreach ($result->copies as $copy) {
                $this->line('  '.FilePath::shown($copy->folder).": {$this->words($copy, $result)}");
                if (! $copy->forgot) {
                    $this->line('    This host could not be made to forget: what was read back may have come from its memory.');
                }
            }
            foreach ($result->skipped as $path) {
                $this->line('  left out, since it is no file: '.FilePath::shown($path));
            }
            foreach ($result->troubles as $trouble) {
                $this->complain($trouble->sentence());
            }
            foreach ([$result->cutShort, ...array_map(fn (CopyOnDrive $copy): ?string => $copy->fault, $result->copies)] as $fault) {
                if ($fault !== null) {
                    $this->complain($fault);
                }
            }
            if ($result->stopped) {
                $this->complain('Stopped. What is whole stays; --resume goes on.');
            }
        }
    }

    private function words(CopyOnDrive $copy, TransferResult $result): string
    {
        if ($copy->isWhole($result->files)) {
            return "all {$result->files} read back the same".($copy->there > 0 ? ", {$copy->there} were there before" : '');
        }
        $missing = count($copy->missing);

        return "not secured: {$copy->verified} of {$result->files} read back the same".($missing > 0 ? ", {$missing} missing" : '');
    }

    private function refuse(string $sentence, int $code = 2): int
    {
        $this->complain($sentence);

        return $code;
    }

    private function complain(string $sentence): void
    {
        $output = $this->output->getOutput();
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($sentence, OutputInterface::OUTPUT_RAW);
    }
}
