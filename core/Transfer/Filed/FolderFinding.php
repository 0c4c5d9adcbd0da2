<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use JsonSerializable;
use Tally\Transfer\FilePath;

/** How a folder stands to the lists beside it. */
final readonly class FolderFinding implements JsonSerializable
{
    /**
     * @param  string  $folder  the real one
     * @param  int  $same  files that are as the lists say
     * @param  list<string>  $missing  that the lists name and the folder lacks
     * @param  list<string>  $changed  other bytes than the lists say
     * @param  list<string>  $extra  that no list names
     * @param  list<string>  $unreadable
     * @param  list<Dispute>  $disputed  of which two lists say different things
     * @param  list<string>  $faults  lists that are empty, torn or none, a sentence each
     * @param  bool  $isPart  whether the copy was never whole: what its lists name is all that they speak of
     * @param  list<string>  $records  XXH128 of the records beside it, by which it is known in the books
     * @param  bool  $forgot  whether the host could be made to forget before it was read
     */
    public function __construct(
        public string $folder,
        public int $same,
        public array $missing,
        public array $changed,
        public array $extra,
        public array $unreadable,
        public array $disputed,
        public array $faults,
        public bool $isPart,
        public array $records,
        public bool $stopped,
        public bool $forgot,
    ) {}

    /** Whether all that the lists name is as they say, as far as it was read. */
    public function isAsListed(): bool
    {
        return [$this->missing, $this->changed, $this->unreadable, $this->disputed, $this->faults] === [[], [], [], [], []] &&
            ($this->isPart || $this->extra === []);
    }

    /** Whether it is exactly what the lists say, and all of the copy. */
    public function isWhole(): bool
    {
        return ! $this->stopped && ! $this->isPart && $this->isAsListed();
    }

    /** @return list<string> what is wrong or worth knowing, a line each */
    public function lines(): array
    {
        $lines = $this->faults;
        $groups = [
            'missing' => $this->missing,
            'changed' => $this->changed,
            'cannot be read' => $this->unreadable,
            $this->isPart ? 'not on the lists of this part' : 'extra, on no list' => $this->extra,
        ];
        foreach ($groups as $what => $paths) {
            foreach ($paths as $path) {
                $lines[] = "{$what}: ".FilePath::shown($path);
            }
        }
        foreach ($this->disputed as $dispute) {
            $lines[] = "disputed: {$dispute->sentence()}";
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'folder' => FilePath::shown($this->folder),
            'same' => $this->same,
            'missing' => self::shown($this->missing),
            'changed' => self::shown($this->changed),
            'extra' => self::shown($this->extra),
            'unreadable' => self::shown($this->unreadable),
            'disputed' => $this->disputed,
            'lists' => $this->faults,
            'part' => $this->isPart,
            'stopped' => $this->stopped,
            'forgot' => $this->forgot,
            'as_listed' => $this->isAsListed(),
            'whole' => $this->isWhole(),
        ];
    }

    /**
     * @param  list<string>  $paths
     * @return list<string>
     */
    private static function shown(array $paths): array
    {
        return array_map(FilePath::shown(...), $paths);
    }
}
