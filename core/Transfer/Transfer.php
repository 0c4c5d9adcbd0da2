<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Generator;
use Tally\Device\Clock;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\RealPath;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Unobserved;
use Tally\Transfer\Filed\BesideCopy;
use Tally\Transfer\Filed\Circumstances;
use Tally\Transfer\Filed\CopyRecord;

/**
 * Brings the folder of a card home: read once, written to one or several drives at the same time, both checksums taken on the
 * way, flushed, named, forgotten by the host, and read back.
 *
 * What is refused is refused before the first byte. What goes wrong with one file or one drive is told, and the rest goes on.
 */
final class Transfer
{
    /** @var list<SourceFile> */
    private readonly array $files;

    /** @var list<Trouble> */
    private array $troubles;

    /**
     * @param  list<Destination>  $onto
     * @param  array<string, ListedFile>  $known
     */
    private function __construct(
        private readonly Source $source,
        private readonly array $onto,
        private readonly array $known,
    ) {
        // Of a first copy only what came from the card, whatever else lies there.
        $this->files = $known === []
            ? $source->files
            : array_values(array_filter($source->files, fn (SourceFile $file): bool => isset($known[$file->path])));
        $this->troubles = $source->troubles;
    }

    /**
     * @param  array<string, string>  $onto  folder on a drive → name of the folder in it, such as `Harbour/Day 1/QS-014`
     * @param  array<string, ListedFile>  $known  by path: what the files are to be, where the source is itself a copy
     *
     * @throws UnusablePath|CannotWrite when it cannot be, with a sentence; nothing of the card was written then
     */
    public static function of(Source $source, array $onto, bool $resume = false, array $known = []): self
    {
        $drives = [];
        try {
            foreach ($onto as $given => $name) {
                $real = RealPath::of($given);
                if ($real !== null && ($real === $source->path || str_starts_with("{$real}/", "{$source->path}/"))) {
                    throw CannotCopy::inside($given, $source->given);
                }
                if ($real !== null && str_starts_with("{$source->path}/", "{$real}/{$name}/")) {
                    throw CannotCopy::inside($source->given, "{$given}/{$name}");
                }
                $drives[] = Destination::open($given, $name, $resume);
            }
            $transfer = new self($source, $drives, $known);
            $transfer->survey();
        } catch (UnusablePath|CannotWrite $fault) {
            foreach ($drives as $drive) {
                $drive->giveUp();
            }
            throw $fault;
        }

        return $transfer;
    }

    /** @throws UnusablePath|CannotWrite */
    private function survey(): void
    {
        foreach ($this->onto as $drive) {
            try {
                $compare = $drive->survey($this->files);
                foreach ($compare as $file) {
                    $this->compare($drive, $file);
                }
                $drive->mustHold($this->files);
                $drive->stage->save();
            } catch (HostError $error) {
                throw $drive->held->isThere() ? CannotWrite::folder($drive->given, $error) : CannotOpen::missing($drive->given);
            }
        }
    }

    /**
     * A file of the same name and size is there: by its content it is the same one, or another.
     *
     * @throws UnusablePath
     * @throws HostError
     */
    private function compare(Destination $drive, SourceFile $file): void
    {
        try {
            $sums = Reading::sums($this->source->open($file->path), $file->size);
        } catch (HostError $error) {
            throw $this->source->isThere() && ! $error->isGone()
                ? CannotCopy::notCompared(FilePath::shown($file->path), $drive->shown($file->path), $error)
                : CannotOpen::missing($this->source->given);
        }
        $there = $drive->root->file($drive->at($file->path), Calls::READ);
        if (Reading::anew($there, $file->size) !== $sums->xxh128) {
            throw CannotCopy::differs($drive->shown($file->path));
        }
        $drive->isTheSame(ListedFile::of($file, $sums));
    }

    public function run(Clock $clock, Observer $observer = new Unobserved()): TransferResult
    {
        $beat = new Pacemaker($clock, $observer, $this->toCopy() + $this->toReadBack());
        $began = $clock->now();
        $copying = new CopyPass($this->source, $this->files, $this->onto, $this->known, $beat);
        $cutShort = null;
        $done = true;
        try {
            $done = $copying->run();
            foreach ($this->onto as $drive) {
                array_map($drive->makeEmpty(...), $this->known === [] ? $this->source->empty : []);
                $this->settle($drive);
            }
        } catch (MediumGone $gone) {
            $cutShort = $gone->getMessage();
        }
        array_push($this->troubles, ...$copying->troubles);
        $copied = $clock->now() - $began;
        $reading = array_map(fn (Destination $drive): ReadBackPass => new ReadBackPass($drive, $this->source), $this->onto);
        if ($done && $cutShort === null) {
            $done = $this->readBack($reading, $beat);
            foreach ($reading as $pass) {
                array_push($this->troubles, ...$pass->troubles);
            }
        }

        return new TransferResult(
            $this->source->given,
            count($this->files),
            array_sum(array_map(fn (SourceFile $file): int => $file->size, $this->files)),
            $copying->read,
            $copied,
            $clock->now() - $began,
            $this->source->skipped,
            array_map($this->outcome(...), $this->onto, $reading),
            $this->troubles,
            ! $done,
            $cutShort,
        );
    }

    /** The names too are brought onto the drive. */
    private function settle(Destination $drive): void
    {
        try {
            $drive->flush();
        } catch (HostError $error) {
            $drive->close($drive->told($error, 0));
        }
    }

    /**
     * All drives side by side: a stretch of each in turn, while the others read on.
     *
     * @param  list<ReadBackPass>  $passes
     * @return bool false when it was stopped
     */
    private function readBack(array $passes, Pacemaker $beat): bool
    {
        $going = array_map(fn (ReadBackPass $pass): Generator => $pass->stretches(), $passes);
        while ($going !== []) {
            foreach ($going as $which => $one) {
                if ($beat->wantsStop()) {
                    return false;
                }
                if (! $one->valid()) {
                    unset($going[$which]);

                    continue;
                }
                $beat->beat(Phase::Reading, $which + 1, 0, 1, $one->current());
                $one->next();
            }
        }

        return true;
    }

    private function outcome(Destination $drive, ReadBackPass $pass): CopyOnDrive
    {
        return new CopyOnDrive(
            $drive->given,
            "{$drive->held->path}/{$drive->name}",
            $drive->copied,
            $drive->completed,
            $drive->there,
            $drive->written,
            $pass->verified,
            array_values(
                array_filter(
                    array_map(fn (SourceFile $file): string => $file->path, $this->files),
                    fn (string $path): bool => $drive->lacks($path),
                ),
            ),
            $drive->fault(),
            $pass->forgot,
        );
    }

    private function toCopy(): int
    {
        $bytes = 0;
        foreach ($this->files as $file) {
            foreach ($this->onto as $drive) {
                if ($drive->lacks($file->path)) {
                    $bytes += $file->size;
                    break;
                }
            }
        }

        return $bytes;
    }

    private function toReadBack(): int
    {
        $bytes = 0;
        foreach ($this->files as $file) {
            foreach ($this->onto as $drive) {
                $bytes += $drive->stage->isVerified($file->path) ? 0 : $file->size;
            }
        }

        return $bytes;
    }

    /**
     * Once all is over: where a copy is whole and was read back, its lists are put beside it and what was left of the work is cleared
     * away. Where not, that stays to be gone on with.
     *
     * @return list<string> the lists and records, by their paths
     */
    public function file(TransferResult $result, Circumstances $how): array
    {
        $filed = [];
        foreach ($this->onto as $at => $drive) {
            $copy = $result->copies[$at];
            if (! $copy->isWhole($result->files)) {
                $drive->leave();

                continue;
            }
            $others = array_map(
                fn (CopyOnDrive $other): string => $other->folder,
                array_values(array_filter($result->copies, fn (CopyOnDrive $other): bool => $other !== $copy)),
            );
            $whole = $drive->whole();
            $files = array_map(fn (SourceFile $file): ListedFile => $whole[$file->path], $this->files);
            $record = new CopyRecord($how, $result->from, $copy->folder, $others, $result->skipped, $files, $copy->forgot);
            try {
                foreach (BesideCopy::put($drive->root, $drive->stage, $drive->name, $record) as $path) {
                    $filed[] = "{$drive->held->path}/{$path}";
                }
                $drive->finish();
            } catch (HostError $error) {
                $drive->close($drive->told($error, 0));
                $drive->leave();
            }
        }

        return $filed;
    }

    /** @return array<string, ListedFile> what is whole on a drive, by path: what a copy of that copy is to be */
    public function whole(int $drive): array
    {
        return $this->onto[$drive]->whole();
    }
}
