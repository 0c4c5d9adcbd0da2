<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\Beneath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;
use Tally\Value\NotUsable;
use Tally\Value\Values;

/**
 * A folder of an offload's own on the drive, for as long as it is not finished: files that are not whole yet, under numbers, and
 * a journal of those that are. It is held locked while an offload is at work; one that nobody holds was left by one that died.
 *
 * A line of the journal is on the drive before its file gets its name, so that one that died can be gone on with: what the
 * journal names is whole, under its name or still under its number.
 */
final class Stage
{
    public const PREFIX = '.gritty-tally-';

    private const LOCK = 'lock';

    private const JOURNAL = 'journal.jsonl';

    private const PART = '/^\d{6,}\.part$/';

    /** Of twenty a second. */
    private const TRIES = 30;

    /** A line of the journal is not longer. */
    private const LINE = 65_536;

    /** @var list<ListedFile> of the journal, in its order */
    private array $files = [];

    /** @var array<string, int> path → place in the list */
    private array $places = [];

    /** @var array<string, int> path → number of the part that it was */
    private array $parts = [];

    /** @var array<string, true> */
    private array $verified = [];

    private int $end = 0;

    private int $next = 1;

    private string $unsaved = '';

    private function __construct(
        private readonly Beneath $drive,
        public readonly string $name,
        private readonly string $of,
        private readonly Beneath $folder,
        private readonly OpenFile $lock,
        private readonly OpenFile $journal,
    ) {}

    /**
     * @param  string  $given  the drive, for sentences
     * @param  string  $of  the folder on the drive that is copied into
     * @param  bool  $resume  whether one that was left is gone on with
     *
     * @throws UnusablePath|HostError
     */
    public static function open(Beneath $drive, string $given, string $of, bool $resume): self
    {
        $name = self::called($of);
        if (! $resume && $drive->facts("{$name}/".self::JOURNAL) !== null) {
            throw CannotCopy::unfinished("{$given}/{$of}");
        }
        $drive->makeFolders($name);
        $folder = $drive->within($name);
        $lock = $folder->file(self::LOCK, Calls::READ_WRITE | Calls::CREATE);
        // One that was killed lets go of it a moment later.
        for ($tries = 0; ! $lock->lock(); $tries++) {
            $tries < self::TRIES ? usleep(50_000) : throw CannotOpen::inUse($given);
        }
        $stage = new self(
            $drive,
            $name,
            $of,
            $folder,
            lock: $lock,
            journal: $folder->file(self::JOURNAL, Calls::READ_WRITE | Calls::CREATE),
        );
        $stage->read();

        return $stage;
    }

    private static function called(string $of): string
    {
        return self::PREFIX.substr(hash('sha256', $of), 0, 12);
    }

    /**
     * What an offload that was left has in its journal; nothing is taken, locked or made.
     *
     * @param  string  $folder  on the drive that is copied into
     * @return array{whole: array<string, ListedFile>, readBack: list<ListedFile>}|null null where none was left
     */
    public static function left(Beneath $drive, string $folder): ?array
    {
        try {
            $name = self::called($folder);
            $journal = $drive->file("{$name}/".self::JOURNAL, Calls::READ | Calls::NON_BLOCKING);
            $stage = new self($drive, $name, $folder, $drive->within($name), lock: $journal, journal: $journal);
        } catch (HostError) {
            return null;
        }
        $stage->read();
        $whole = $stage->files();

        return [
            'whole' => $whole,
            'readBack' => array_values(array_filter($whole, fn (ListedFile $file): bool => $stage->isVerified($file->path))),
        ];
    }

    /**
     * @param  string  $name  of a folder such as an offload has while it is not finished
     * @return string|null the folder on the drive that it copied into; null where that does not stand in its journal
     */
    public static function folderOf(Beneath $drive, string $name): ?string
    {
        try {
            $line = explode("\n", $drive->file("{$name}/".self::JOURNAL, Calls::READ | Calls::NON_BLOCKING)->read(0, self::LINE))[0];
        } catch (HostError) {
            return null;
        }
        $said = json_decode($line, true);
        $folder = is_array($said) && is_string($said['folder'] ?? null) ? base64_decode($said['folder'], true) : false;

        return $folder !== false && self::called($folder) === $name ? $folder : null;
    }

    /** A line that a power cut left half is none. */
    private function read(): void
    {
        $rest = '';
        while (($bytes = $this->journal->read($this->end, self::LINE)) !== '') {
            $this->end += strlen($bytes);
            $lines = explode("\n", $rest.$bytes);
            $rest = array_pop($lines);
            foreach ($lines as $line) {
                $this->take($line);
            }
        }
        // What is written next is to begin a line of its own.
        $this->unsaved = $rest === '' ? '' : "\n";
    }

    private function take(string $line): void
    {
        try {
            $said = Values::read(JournalLine::class, json_decode($line, true));
        } catch (NotUsable) {
            // Whatever it was, the file is looked at as one that nobody knows.
            return;
        }
        if ($said->file !== null && $said->part !== null) {
            $this->note($said->file->file, $said->part);
        } elseif ($said->verified !== null) {
            $path = $this->files[$said->verified]->path ?? '';
            $this->verified[$path] = true;
        } elseif ($said->gone !== null) {
            $this->drop($this->files[$said->gone]->path ?? '');
        }
    }

    private function note(ListedFile $file, int $part): void
    {
        $this->places[$file->path] = count($this->files);
        $this->parts[$file->path] = $part;
        $this->files[] = $file;
        $this->next = max($this->next, $part + 1);
        unset($this->verified[$file->path]);
    }

    private function drop(string $path): void
    {
        unset($this->places[$path], $this->parts[$path], $this->verified[$path]);
    }

    /** @return array<string, ListedFile> by path: those that are whole by the journal */
    public function files(): array
    {
        return array_map(fn (int $place): ListedFile => $this->files[$place], $this->places);
    }

    /** Whether nothing was ever entered in its journal. */
    public function isNew(): bool
    {
        return $this->files === [];
    }

    public function isVerified(string $path): bool
    {
        return isset($this->verified[$path]);
    }

    public function add(ListedFile $file, int $part): void
    {
        $this->note($file, $part);
        $this->say(['file' => $file, 'part' => $part]);
    }

    public function verified(string $path): void
    {
        $this->verified[$path] = true;
        $this->say(['verified' => $this->places[$path] ?? -1]);
    }

    /** It is not there under its name any more. */
    public function gone(string $path): void
    {
        $place = $this->places[$path] ?? null;
        if ($place !== null) {
            $this->drop($path);
            $this->say(['gone' => $place]);
        }
    }

    /** @param  array<string, mixed>  $line */
    private function say(array $line): void
    {
        $this->unsaved .= json_encode($line, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n";
    }

    /**
     * Brings what was said onto the drive.
     *
     * @throws HostError
     */
    public function save(): void
    {
        if ($this->unsaved === '') {
            return;
        }
        if ($this->end === 0) {
            // For whoever finds it years later.
            $this->unsaved = json_encode(['folder' => base64_encode($this->of)], JSON_THROW_ON_ERROR)."\n{$this->unsaved}";
        }
        $this->journal->write($this->end, $this->unsaved);
        $this->end += strlen($this->unsaved);
        $this->unsaved = '';
        $this->journal->sync();
    }

    /** @return int the number of a part that nobody has */
    public function nextPart(): int
    {
        return $this->next++;
    }

    /**
     * @param  int  $flags  of Calls
     *
     * @throws HostError
     */
    public function part(int $number, int $flags): OpenFile
    {
        return $this->folder->file(self::named($number), $flags);
    }

    /**
     * A part that is whole gets its name, never onto a file that is there.
     *
     * @param  string  $to  on the drive
     *
     * @throws HostError EEXIST where the name is taken
     */
    public function name(int $number, string $to): void
    {
        $this->drive->moveFrom($this->folder->open, self::named($number), $to);
    }

    /** @throws HostError */
    public function discard(int $number): void
    {
        $this->folder->remove(self::named($number));
    }

    /**
     * Whether a file of the journal lies there still under its number, whole.
     *
     * @throws HostError
     */
    public function holds(ListedFile $file): ?int
    {
        $part = $this->parts[$file->path] ?? 0;
        $facts = $part === 0 ? null : $this->folder->facts(self::named($part));

        return $facts?->size === $file->size ? $part : null;
    }

    private static function named(int $number): string
    {
        return sprintf('%06d.part', $number);
    }

    /** Removes what is not whole. */
    public function clearParts(): void
    {
        foreach ($this->folder->names() as $file) {
            if (preg_match(self::PART, $file) === 1) {
                $this->folder->remove($file);
            }
        }
    }

    /** @throws HostError */
    public function remove(): void
    {
        $this->clearParts();
        $this->folder->remove(self::JOURNAL);
        $this->lock->close();
        $this->folder->remove(self::LOCK);
        $this->journal->close();
        $this->drive->removeFolder($this->name);
    }

    /** Lets go of it, to be gone on with. */
    public function leave(): void
    {
        $this->journal->close();
        $this->lock->close();
    }
}
