<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Closure;
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
    /** Reasons that concern what is to be copied, or ask somebody, and not one drive alone. */
    private const OF_ALL = ['differs', 'inside', 'leadsOut', 'notCompared', 'unfinished'];

    /** @var list<SourceFile> */
    private array $files;

    /** @var list<Trouble> */
    private array $troubles;

    /**
     * @param  array<int, Destination>  $onto  by their place among all
     * @param  array<int, array{string, string, string}>  $refused  of the others: folder, name, and why it takes no copy
     * @param  array<string, ListedFile>  $known
     */
    private function __construct(
        private readonly Source $source,
        private array $onto,
        private array $refused,
        private readonly array $known,
    ) {
        $this->troubles = $source->troubles;
        $this->files = $known === [] ? $source->files : $this->filesOf($known);
    }

    /**
     * Of a copy only what came from the card, whatever else lies there; what is not there is told.
     *
     * @param  array<string, ListedFile>  $known
     * @return list<SourceFile>
     */
    private function filesOf(array $known): array
    {
        $there = [];
        foreach ($this->source->files as $file) {
            $there[$file->path] = $file;
        }
        $files = [];
        foreach ($known as $path => $listed) {
            $files[] = $there[$path] ?? new SourceFile($listed->path, $listed->size, $listed->changed, $listed->nano);
        }
        usort($files, fn (SourceFile $one, SourceFile $other): int => strcmp($one->path, $other->path));

        return $files;
    }

    /**
     * One drive that takes no copy fails its own alone; where none is left, or something is wrong with all of it, it is refused.
     *
     * @param  array<string>  $onto  folder on a drive (as a key it may be a number) → name of the folder in it, such as
     *                               `Harbour/Day 1/QS-014`
     * @param  array<string, ListedFile>  $known  by path: what the files are to be, where the source is itself a copy
     *
     * @throws UnusablePath|CannotWrite when it cannot be, with a sentence; nothing of the card was written then
     */
    public static function of(Source $source, array $onto, bool $resume = false, array $known = []): self
    {
        $drives = $refused = [];
        $first = null;
        try {
            foreach (array_keys($onto) as $at => $given) {
                $given = (string) $given;
                self::mustLieApart($source, $given, $onto[$given]);
                self::mustNotLieInACopy($given, $onto);
                try {
                    $drives[$at] = Destination::open($given, $onto[$given], $resume);
                } catch (UnusablePath|CannotWrite $fault) {
                    $first = self::itsOwn($fault, $first);
                    $refused[$at] = [$given, $onto[$given], $fault->getMessage()];
                }
            }
            $transfer = new self($source, $drives, $refused, $known);
            $first = $transfer->survey($first);
            if ($transfer->onto === [] && $first !== null) {
                throw $first;
            }
        } catch (UnusablePath|CannotWrite $fault) {
            foreach ($drives as $drive) {
                $drive->giveUp();
            }
            throw $fault;
        }

        return $transfer;
    }

    /** @throws CannotCopy */
    private static function mustLieApart(Source $source, string $given, string $name): void
    {
        $real = RealPath::of($given);
        if ($real !== null && ($real === $source->path || str_starts_with("{$real}/", "{$source->path}/"))) {
            throw CannotCopy::inside($given, $source->given);
        }
        if ($real !== null && str_starts_with("{$source->path}/", "{$real}/{$name}/")) {
            throw CannotCopy::inside($source->given, "{$given}/{$name}");
        }
    }

    /**
     * @param  array<string>  $onto
     *
     * @throws CannotCopy
     */
    private static function mustNotLieInACopy(string $given, array $onto): void
    {
        $real = RealPath::of($given);
        foreach ($onto as $other => $name) {
            $copy = RealPath::of((string) $other);
            if ($real !== null && $copy !== null && str_starts_with("{$real}/", "{$copy}/{$name}/")) {
                throw CannotCopy::inside($given, "{$other}/{$name}");
            }
        }
    }

    /**
     * @return UnusablePath|CannotWrite the first one, where it is the drive’s own
     *
     * @throws UnusablePath where it is about what is to be copied, or asks somebody
     */
    private static function itsOwn(UnusablePath|CannotWrite $fault, UnusablePath|CannotWrite|null $first): UnusablePath|CannotWrite
    {
        return $fault instanceof UnusablePath && in_array($fault->reason, self::OF_ALL, true) ? throw $fault : $first ?? $fault;
    }

    /**
     * @param  UnusablePath|CannotWrite|null  $first  why a drive was refused before
     *
     * @throws UnusablePath|CannotWrite
     */
    private function survey(UnusablePath|CannotWrite|null $first): UnusablePath|CannotWrite|null
    {
        foreach ($this->onto as $at => $drive) {
            try {
                $this->surveyed($drive);
            } catch (UnusablePath|CannotWrite $fault) {
                $first = self::itsOwn($fault, $first);
                $this->refused[$at] = [$drive->given, $drive->name, $fault->getMessage()];
                $drive->giveUp();
                unset($this->onto[$at]);
            }
        }

        return $first;
    }

    /** @throws UnusablePath|CannotWrite */
    private function surveyed(Destination $drive): void
    {
        try {
            foreach ($drive->survey($this->files) as $file) {
                $this->compare($drive, $file);
            }
            $drive->mustHold($this->files);
            $drive->stage->save();
        } catch (HostError $error) {
            throw match (true) {
                ! $drive->held->isThere() => CannotCopy::driveMissing($drive->given),
                $error->isFull() => CannotCopy::driveFull($drive->given),
                default => CannotWrite::folder($drive->given, $error),
            };
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

    /**
     * @param  (Closure(int): void)|null  $each  told of each file’s bytes once it is on the drives, which are made to take it alone then;
     *                                           null where they take many together
     */
    public function run(Clock $clock, Observer $observer = new Unobserved(), bool $readBack = true, ?Closure $each = null): TransferResult
    {
        $beat = new Pacemaker($clock, $observer, $this->toCopy() + ($readBack ? $this->toReadBack() : 0));
        $began = $clock->now();
        $copying = new CopyPass($this->source, $this->files, array_values($this->onto), $this->known, beat: $beat, each: $each);
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
        if ($done && $cutShort === null && $this->known === []) {
            $this->mustBeUnchanged();
        }
        $copied = $clock->now() - $began;
        $reading = array_map(fn (Destination $drive): ReadBackPass => new ReadBackPass($drive, $this->source), $this->onto);
        $isReadBack = $readBack && $done && $cutShort === null;
        if ($isReadBack) {
            $done = $this->readBack($reading, $beat);
            foreach ($reading as $pass) {
                array_push($this->troubles, ...$pass->troubles);
            }
        }
        if ($isReadBack && $done && $this->known === []) {
            // Reading back takes as long as copying: a card can grow meanwhile.
            $this->mustBeUnchanged();
        }

        return new TransferResult(
            $this->source->given,
            count($this->files),
            array_sum(array_map($this->size(...), $this->files)),
            $copying->read,
            copied: $copied,
            readBack: $isReadBack && $done && $this->areOpen() ? $clock->now() - $began : null,
            seconds: $clock->now() - $began,
            skipped: $this->source->skipped,
            copies: $this->outcomes($reading),
            troubles: $this->troubles,
            stopped: ! $done,
            cutShort: $cutShort,
        );
    }

    /** Whether each of the drives went along to the end. */
    private function areOpen(): bool
    {
        return $this->refused === [] && array_filter($this->onto, fn (Destination $drive): bool => ! $drive->isOpen()) === [];
    }

    /** What came onto the card, or changed on it, after it was its turn is in no copy. */
    private function mustBeUnchanged(): void
    {
        try {
            $now = Source::at($this->source->given, mayBeEmpty: true);
        } catch (UnusablePath) {
            // It was taken out: what was read of it before was read whole.
            return;
        }
        $told = array_flip(array_map(fn (Trouble $trouble): string => $trouble->path, $this->troubles));
        $known = array_flip(array_map(fn (SourceFile $file): string => $file->path, $this->files));
        foreach ($this->source->isThere() ? $now->files : [] as $file) {
            $isNew = ! isset($known[$file->path]);
            $outdated = array_filter($this->onto, fn (Destination $drive): bool => $drive->isOutdated($file));
            if ($isNew) {
                $this->files[] = $file;
            }
            if (! isset($told[$file->path]) && ($isNew || $outdated !== [])) {
                $this->troubles[] = new Trouble(TroubleKind::Changed, $file->path, null);
            }
        }
    }

    /** Bytes that it has: those that were copied, where it has grown since it was counted. */
    private function size(SourceFile $file): int
    {
        foreach ($this->onto as $drive) {
            $whole = $drive->whole()[$file->path] ?? null;
            if ($whole !== null) {
                return $whole->size;
            }
        }

        return $file->size;
    }

    /**
     * @param  array<int, ReadBackPass>  $reading
     * @return list<CopyOnDrive> in the order in which the drives were given
     */
    private function outcomes(array $reading): array
    {
        $all = [];
        foreach ($this->onto as $at => $drive) {
            $all[$at] = $this->outcome($drive, $reading[$at]);
        }
        $paths = array_map(fn (SourceFile $file): string => $file->path, $this->files);
        foreach ($this->refused as $at => [$given, $name, $fault]) {
            $all[$at] = new CopyOnDrive(
                $given,
                "{$given}/{$name}",
                0,
                0,
                there: 0,
                written: 0,
                verified: 0,
                missing: $paths,
                fault: $fault,
                forgot: true,
            );
        }
        ksort($all);

        return array_values($all);
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
     * @param  array<int, ReadBackPass>  $passes
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
                $beat->beat(Phase::Reading, $which + 1, 0, 1, moved: $one->current());
                $one->next();
            }
        }

        return true;
    }

    private function outcome(Destination $drive, ReadBackPass $pass): CopyOnDrive
    {
        $place = $drive->place();
        if ($place === null) {
            $drive->close(CannotCopy::driveChanged($drive->given)->getMessage());
        }

        return new CopyOnDrive(
            $drive->given,
            "{$drive->held->path}/{$drive->name}",
            $drive->copied,
            $drive->completed,
            there: $drive->there,
            written: $drive->written,
            verified: $pass->verified,
            missing: array_values(
                array_filter(
                    array_map(fn (SourceFile $file): string => $file->path, $this->files),
                    fn (string $path): bool => $drive->lacks($path),
                ),
            ),
            fault: $drive->fault(),
            forgot: $pass->forgot,
            place: $place,
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
     * Once all is over its lists are put beside each copy: of all of it, where it is whole and was read back, and what was left of the
     * work is cleared away; else of the part that is, and the rest stays to be gone on with.
     *
     * @return list<string> the lists and records, by their paths
     */
    public function file(TransferResult $result, Circumstances $how): array
    {
        $filed = [];
        foreach ($this->onto as $at => $drive) {
            $copy = $result->copies[$at];
            $isWhole = $copy->isWhole($result->files);
            $others = array_map(
                fn (CopyOnDrive $other): string => $other->folder,
                array_values(array_filter($result->copies, fn (CopyOnDrive $other): bool => $other !== $copy)),
            );
            $files = $drive->readBack();
            $record = new CopyRecord(
                $how,
                $result->from,
                $copy->folder,
                $others,
                skipped: $result->skipped,
                files: $files,
                forgot: $copy->forgot,
                isPart: ! $isWhole,
            );
            try {
                foreach ($files === [] && ! $isWhole ? [] : BesideCopy::put($drive->root, $drive->stage, $drive->name, $record) as $path) {
                    $filed[] = "{$drive->held->path}/{$path}";
                }
                $isWhole ? $drive->finish() : $drive->leave();
            } catch (HostError $error) {
                $drive->close($drive->told($error, 0));
                $drive->leave();
            }
        }

        return $filed;
    }

    /** What is whole stays under its names, without lists beside it and with nothing to go on from. */
    public function leaveAsItIs(): void
    {
        foreach ($this->onto as $drive) {
            try {
                $drive->finish();
            } catch (HostError $error) {
                $drive->close($drive->told($error, 0));
                $drive->leave();
            }
        }
    }

    /** @return array<string, ListedFile> what is whole on a drive, by path: what a copy of that copy is to be */
    public function whole(int $drive): array
    {
        return isset($this->onto[$drive]) ? $this->onto[$drive]->whole() : [];
    }
}
