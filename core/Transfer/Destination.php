<?php

declare(strict_types=1);

namespace Tally\Transfer;

use InvalidArgumentException;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\HostErrorMapper;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\HeldFolder;
use Tally\Device\Host\Beneath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;
use Tally\Device\Place;

/**
 * The folder of a card on one drive, while it is being filled. A file is written under a number, flushed, entered in the journal,
 * and only then gets its name; never onto a file that is there. What the drive refuses closes it, and the others go on.
 */
final class Destination
{
    /** Bytes of a large file after which the drive is told to begin writing. */
    private const BEGIN = 8_388_608;

    /** @var array<string, ListedFile> by path: under their names, flushed, and in the journal */
    private array $whole = [];

    /** @var array<int, SourceFile> by the number of their part: written, and not yet under their names */
    private array $pending = [];

    /** @var array<string, true> folders that are there */
    private array $folders = [];

    private ?OpenFile $part = null;

    private int $number = 0;

    private int $begun = 0;

    private ?string $fault = null;

    public int $copied = 0;

    public int $completed = 0;

    public int $there = 0;

    /** Bytes. */
    public int $written = 0;

    private function __construct(
        public readonly string $given,
        public readonly HeldFolder $held,
        public readonly Beneath $root,
        public readonly string $name,
        public readonly Stage $stage,
    ) {}

    /**
     * @param  string  $given  a folder on a drive
     * @param  string  $name  of the folder in it that the card’s files go into, such as `Harbour/Day 1/QS-014`
     * @param  bool  $resume  whether an offload that was left there is gone on with
     *
     * @throws UnusablePath|CannotWrite
     */
    public static function open(string $given, string $name, bool $resume): self
    {
        try {
            $name = FilePath::of($name)->path;
        } catch (InvalidArgumentException $fault) {
            throw CannotCopy::leadsOut($name, $fault->getMessage());
        }
        $held = self::hold($given);
        try {
            $root = Beneath::folder($held->inside());

            return new self($given, $held, $root, $name, stage: Stage::open($root, $given, $name, $resume));
        } catch (HostError $error) {
            throw $error->isFull() ? CannotCopy::driveFull($given) : CannotWrite::folder($given, $error);
        }
    }

    /** @throws UnusablePath that speaks of the drive, and not of the card */
    private static function hold(string $given): HeldFolder
    {
        try {
            return HeldFolder::at($given);
        } catch (UnusablePath $fault) {
            throw match ($fault->reason) {
                'missing' => CannotCopy::driveMissing($given),
                'notAFolder' => CannotCopy::driveNoFolder($given),
                'notWritable' => CannotCopy::driveReadOnly($given),
                default => $fault,
            };
        }
    }

    /**
     * Looks at what is there already, and gives what the journal calls whole its name.
     *
     * @param  list<SourceFile>  $files
     * @return list<SourceFile> that have a file of their name and size there which nobody knows: to be compared by content
     *
     * @throws UnusablePath where one is there that is another
     * @throws HostError
     */
    public function survey(array $files): array
    {
        $known = $this->stage->files();
        if ($this->root->facts($this->name) === null && $known === []) {
            // What died before it had anything whole leaves pieces too.
            $this->stage->clearParts();

            return [];
        }
        $compare = [];
        foreach ($files as $file) {
            $listed = $known[$file->path] ?? null;
            if ($listed !== null && ! $listed->isOf($file)) {
                $this->outdated($listed);
                $listed = null;
            }
            $facts = $this->root->facts($this->at($file->path));
            if ($facts !== null) {
                if (! $facts->isFile() || $facts->size !== $file->size) {
                    throw CannotCopy::differs($this->shown($file->path));
                }
                if ($listed === null) {
                    $compare[] = $file;
                } else {
                    $this->whole[$file->path] = $listed;
                    $this->there++;
                }
            } elseif ($listed !== null) {
                $this->complete($listed);
            }
        }
        $this->stage->clearParts();
        $this->flush();

        return $compare;
    }

    /**
     * This very offload wrote it, and the card has another one by now: what never was read back goes, what was keeps its bytes under
     * another name.
     *
     * @throws HostError
     */
    private function outdated(ListedFile $file): void
    {
        if ($this->root->facts($this->at($file->path)) !== null) {
            $this->stage->isVerified($file->path) ? $this->rename($file->path, 'earlier') : $this->root->remove($this->at($file->path));
        }
        $this->stage->gone($file->path);
    }

    /** Whether it has another one than the card has by now; that is no copy of it any more. */
    public function isOutdated(SourceFile $file): bool
    {
        $listed = $this->whole[$file->path] ?? null;
        if ($listed === null || $listed->isOf($file)) {
            return false;
        }
        $this->guarded(0, fn () => $this->outdated($listed));
        unset($this->whole[$file->path]);

        return true;
    }

    private function complete(ListedFile $file): void
    {
        $part = $this->stage->holds($file);
        if ($part === null) {
            $this->stage->gone($file->path);

            return;
        }
        $this->makeFolder(dirname($this->at($file->path)));
        $this->stage->name($part, $this->at($file->path));
        $this->whole[$file->path] = $file;
        $this->completed++;
    }

    /**
     * What this drive could never hold, before the first byte.
     *
     * @param  list<SourceFile>  $files
     *
     * @throws UnusablePath
     * @throws HostError
     */
    public function mustHold(array $files): void
    {
        $missing = array_values(array_filter($files, fn (SourceFile $file): bool => $this->lacks($file->path)));
        (new DriveLimits($this->held, $this->given))->mustHold($missing);
        (new NameTrial($this->root, $this->stage->name, $this->given))->of($this->name, $missing);
    }

    public function lacks(string $path): bool
    {
        return ! isset($this->whole[$path]);
    }

    public function isOpen(): bool
    {
        return $this->fault === null;
    }

    /** @return string|null why it was closed */
    public function fault(): ?string
    {
        return $this->fault;
    }

    /** @return array<string, ListedFile> */
    public function whole(): array
    {
        return $this->whole;
    }

    /** A file that was there already, found the same by content. */
    public function isTheSame(ListedFile $file): void
    {
        $this->stage->add($file, 0);
        $this->whole[$file->path] = $file;
        $this->there++;
    }

    public function begin(SourceFile $file): void
    {
        $this->guarded(0, function () use ($file): void {
            $this->number = $this->stage->nextPart();
            $this->part = $this->stage->part($this->number, Calls::WRITE | Calls::CREATE | Calls::EXCLUSIVE);
            $this->begun = 0;
            if ($file->size > self::BEGIN) {
                $this->part->reserve($file->size);
            }
        });
    }

    public function write(int $at, string $bytes): void
    {
        $this->guarded($at, function () use ($at, $bytes): void {
            $this->part?->write($at, $bytes);
            $end = $at + strlen($bytes);
            $this->written += strlen($bytes);
            if ($end - $this->begun >= self::BEGIN) {
                $this->part?->startWriting($this->begun, $end - $this->begun);
                $this->begun = $end;
            }
        });
    }

    /** All of it was written. It waits for the next flush. */
    public function end(SourceFile $file): void
    {
        $this->guarded($file->size, function () use ($file): void {
            if ($this->part !== null) {
                Calls::date($this->part->fd, $file->changed, $file->nano, $file->path);
                $this->part->startWriting($this->begun, max(1, $file->size - $this->begun));
                $this->part->close();
                $this->part = null;
                $this->pending[$this->number] = $file;
            }
        });
    }

    /** The file that was begun is not to be. */
    public function drop(): void
    {
        if ($this->part === null) {
            return;
        }
        $this->part->close();
        $this->part = null;
        try {
            $this->stage->discard($this->number);
        } catch (HostError) {
            // It is removed when somebody goes on.
        }
    }

    /**
     * What was written is brought onto the drive, entered in the journal, and named: in this order.
     *
     * @param  array<string, ListedFile>  $listed  by path: what is known of the files by now
     */
    public function commit(array $listed): void
    {
        if ($this->isOpen()) {
            $this->guarded(0, fn () => $this->name($listed));
        } elseif ($this->pending !== []) {
            // What was written whole before it was closed counts, where the drive still takes it.
            try {
                $this->name($listed);
            } catch (HostError) {
                $this->pending = [];
            }
        }
    }

    /**
     * @param  array<string, ListedFile>  $listed
     *
     * @throws HostError
     */
    private function name(array $listed): void
    {
        if ($this->pending === []) {
            return;
        }
        $this->flush(array_keys($this->pending));
        $named = [];
        foreach ($this->pending as $number => $file) {
            // One whose checksum was lost on the way is copied anew by who goes on.
            if (isset($listed[$file->path])) {
                $named[$number] = $listed[$file->path];
                $this->stage->add($named[$number], $number);
            }
        }
        $this->pending = [];
        $this->stage->save();
        foreach ($named as $number => $file) {
            $to = $this->at($file->path);
            $this->makeFolder(dirname($to));
            try {
                $this->stage->name($number, $to);
            } catch (HostError $error) {
                throw $error->errno === HostError::EEXIST ? new HostError(HostError::EEXIST, 'rename', $file->path) : $error;
            }
            $this->whole[$file->path] = $file;
            $this->copied++;
        }
    }

    /**
     * @param  list<int>  $parts  that were written; none: whatever there is
     *
     * @throws HostError
     */
    public function flush(array $parts = []): void
    {
        (new DriveLimits($this->held, $this->given))->flushesAtOneWord(count($parts))
            ? Calls::syncAll($this->root->open->fd, $this->given)
            : array_map(fn (int $number) => $this->stage->part($number, Calls::READ_WRITE)->sync(), $parts);
    }

    /** Folders of the card with nothing in them are made too. */
    public function makeEmpty(string $folder): void
    {
        $this->guarded(0, fn () => $this->makeFolder($this->at($folder)));
    }

    /** @throws HostError */
    private function makeFolder(string $folder): void
    {
        if (! isset($this->folders[$folder])) {
            $this->root->makeFolders($folder);
            $this->folders[$folder] = true;
        }
    }

    /** A copy that is not what was written loses its name, so that nobody takes it for the file; the bytes stay to be looked at. */
    public function putAside(string $path): void
    {
        $this->rename($path, 'differs');
        unset($this->whole[$path]);
        $this->stage->gone($path);
    }

    private function rename(string $path, string $word): void
    {
        $to = $this->at($path);
        for ($i = 1; $i < 1000; $i++) {
            try {
                $this->root->move($to, "{$to}.{$word}".($i === 1 ? '' : "-{$i}"));
                break;
            } catch (HostError $error) {
                if ($error->errno !== HostError::EEXIST) {
                    break;
                }
            }
        }
    }

    /** @return list<ListedFile> that are whole and were read back the same, by their paths */
    public function readBack(): array
    {
        $files = array_filter($this->whole, fn (ListedFile $file): bool => $this->stage->isVerified($file->path));
        ksort($files, SORT_STRING);

        return array_values($files);
    }

    /** @return string the place of a file of the card on the drive */
    public function at(string $path): string
    {
        return "{$this->name}/{$path}";
    }

    /** @return string the same for people */
    public function shown(string $path): string
    {
        return FilePath::shown("{$this->held->path}/{$this->at($path)}");
    }

    /**
     * What the drive refuses closes it.
     *
     * @param  int  $at  bytes from the start of the file
     * @param  callable(): void  $do
     */
    private function guarded(int $at, callable $do): void
    {
        if (! $this->isOpen()) {
            return;
        }
        try {
            $do();
        } catch (HostError $error) {
            $this->close($this->told($error, $at));
        }
    }

    /** @return Place|null what all of it was written to; null where its path leads elsewhere by now, and nobody can tell */
    public function place(): ?Place
    {
        try {
            $place = Place::of($this->held->path);
        } catch (CannotOpen) {
            return null;
        }

        return $this->held->isThere() ? $place : null;
    }

    /** Nothing was begun: what was there before is as it was. */
    public function giveUp(): void
    {
        try {
            $this->stage->isNew() ? $this->stage->remove() : $this->stage->leave();
        } catch (HostError) {
            $this->stage->leave();
        }
        $this->held->letGo();
    }

    /** Lets go of the drive; what is not finished stays, to be gone on with. */
    public function leave(): void
    {
        try {
            $this->stage->save();
        } catch (HostError) {
            // What could not be written down is read back once more.
        }
        $this->stage->leave();
        $this->held->letGo();
    }

    /**
     * All is done.
     *
     * @throws HostError
     */
    public function finish(): void
    {
        $this->stage->remove();
        $this->flush();
        $this->held->letGo();
    }

    /** @param  string  $fault  a sentence */
    public function close(string $fault): void
    {
        $this->fault ??= $fault;
        $this->drop();
    }

    public function told(HostError $error, int $at): string
    {
        $fault = match (true) {
            $error->errno === HostError::EEXIST => CannotCopy::taken($this->shown($error->path)),
            $error->leadsOut() => CannotCopy::leadsOut($this->shown($error->path), $error->getMessage()),
            $error->isAboutTheName() => CannotCopy::cannotBeNamed(FilePath::shown($error->path), $this->given, $error->getMessage()),
            default => HostErrorMapper::writing($error, $at, $this->given, $this->held->isThere()),
        };

        return $fault->getMessage();
    }
}
