<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use Tally\Transfer\FilePath;

/** How a folder stands to the lists beside it. */
final readonly class FolderFinding
{
    /**
     * @param  int  $same  files that are as the lists say
     * @param  list<string>  $missing  that the lists name and the folder lacks
     * @param  list<string>  $changed  other bytes than the lists say
     * @param  list<string>  $extra  that no list names
     * @param  list<string>  $unreadable
     * @param  list<string>  $disputed  of which two lists say different things
     */
    public function __construct(
        public string $folder,
        public int $same,
        public array $missing,
        public array $changed,
        public array $extra,
        public array $unreadable,
        public array $disputed,
        public bool $stopped,
    ) {}

    /** Whether it is exactly what the lists say. */
    public function isWhole(): bool
    {
        return ! $this->stopped && [$this->missing, $this->changed, $this->extra, $this->unreadable] === [[], [], [], []];
    }

    /** @return array<string, mixed> */
    public function pack(): array
    {
        return [
            'folder' => FilePath::shown($this->folder),
            'same' => $this->same,
            'missing' => self::shown($this->missing),
            'changed' => self::shown($this->changed),
            'extra' => self::shown($this->extra),
            'unreadable' => self::shown($this->unreadable),
            'disputed' => self::shown($this->disputed),
            'stopped' => $this->stopped,
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
