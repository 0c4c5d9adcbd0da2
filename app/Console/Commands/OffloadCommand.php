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
use Tally\Device\Place;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Transfer\CopyOnDrive;
use Tally\Transfer\CopyPlaces;
use Tally\Transfer\Filed\Circumstances;
use Tally\Transfer\Filed\CopyRecord;
use Tally\Transfer\FilePath;
use Tally\Transfer\FolderName;
use Tally\Transfer\Source;
use Tally\Transfer\Transfer;
use Tally\Transfer\TransferResult;
use Tally\Value\NotUsable;

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
        $watch->listen();
        $to = array_values(array_filter($this->option('to'), is_string(...)));
        if ($to === []) {
            return $this->refuse('Say where to: --to=/mnt/drive, and once more for a second copy.');
        }
        try {
            $twice = array_key_first(array_filter(array_count_values($to), fn (int $times): bool => $times > 1));
            if ($twice !== null) {
                throw CannotCopy::oneFolder($twice, $twice);
            }
            $source = Source::at($this->argument('from'));
            $places = CopyPlaces::of(Place::of($source->path), $this->places($to));
            foreach ($places->doubts() as $doubt) {
                $this->option('json') === true ? $this->complain($doubt) : $this->line($doubt);
            }
            $results = $this->bringHome($source, $this->onto($source, $to), $watch);
        } catch (DeviceFault|NotUsable $fault) {
            $watch->finish();
            $isAnother = $fault instanceof CannotCopy && $fault->reason === 'differs';

            return $this->refuse($fault->getMessage(), $isAnother ? 1 : 2);
        }
        $watch->finish();
        $areWhole = array_filter($results, fn (TransferResult $one): bool => ! $one->isHome()) === [];
        // Asked once more: what was mounted when it began may not be what the copies lie on.
        $places = CopyPlaces::of(Place::of($source->path), $this->places($to));
        $isHome = $areWhole && $places->apart() === count($to);
        $this->option('json') === true ? $this->print($results, $isHome, $places) : $this->tell($results);
        if ($areWhole && ! $isHome) {
            $count = $places->apart();
            $on = $count === 1 ? 'one device' : "{$count} devices";
            $this->complain("Fewer copies than folders: all was read back, on {$on}. Do not clear the card because of it.");
        }

        return $isHome ? 0 : 1;
    }

    /**
     * @param  list<string>  $to
     * @return array<string, Place> of those that are there
     */
    private function places(array $to): array
    {
        $places = [];
        foreach ($to as $given) {
            if (RealPath::of($given) !== null) {
                $places[$given] = Place::of($given);
            }
        }

        return $places;
    }

    /**
     * @param  list<string>  $to
     * @return array<string, string> folder on a drive → name of the folder in it
     */
    private function onto(Source $source, array $to): array
    {
        $tag = is_string($tag = $this->option('card')) ? trim($tag) : '';
        $name = $tag === '' ? basename($source->path) : $tag;
        $name = $name === '' ? 'card' : $name;

        return array_fill_keys($to, $this->option('resume') === true ? $name : FolderName::of($source, $to, $name));
    }

    /**
     * @param  array<string, string>  $onto
     * @return list<TransferResult> one; of a relay one for each drive, and fewer where the first copy is not whole
     *
     * @throws DeviceFault|NotUsable
     */
    private function bringHome(Source $source, array $onto, TerminalObserver $watch): array
    {
        $resume = $this->option('resume') === true;
        // Of a copy that has its lists, what the card gave counts, and not what lies there now.
        $known = CopyRecord::beside($source->path);
        if ($this->option('relay') !== true || count($onto) < 2) {
            return [$this->transfer(Transfer::of($source, $onto, $resume, $known), $watch)];
        }
        $first = array_key_first($onto);
        $relayed = Transfer::of($source, [$first => $onto[$first]], $resume, $known);
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
                began: $began,
                ended: now()->toIso8601String(),
            ),
        );

        return $result;
    }

    /** @param  list<TransferResult>  $results */
    private function print(array $results, bool $isHome, CopyPlaces $places): void
    {
        $this->output->writeln(
            json_encode(
                [
                    // All of it read back, on as many devices as folders were given.
                    'home' => $isHome,
                    'devices' => $places->apart(),
                    'doubts' => array_values($places->doubts()),
                    'places' => $places,
                    'transfers' => $results,
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
