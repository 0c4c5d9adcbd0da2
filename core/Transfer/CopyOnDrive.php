<?php

declare(strict_types=1);

namespace Tally\Transfer;

use JsonSerializable;
use Tally\Device\Place;

/** What came of the copy on one drive. */
final readonly class CopyOnDrive implements JsonSerializable
{
    /**
     * @param  string  $drive  as it was given
     * @param  string  $folder  where the copy lies
     * @param  int  $copied  files that were written now
     * @param  int  $completed  that were whole before and lacked their names
     * @param  int  $there  that were there before
     * @param  int  $written  bytes
     * @param  int  $verified  files that read back the same
     * @param  list<string>  $missing  files of the card that are not on it, or not as they were
     * @param  string|null  $fault  a sentence, where the drive closed itself
     * @param  bool  $forgot  whether the host could be made to forget before it was read back
     * @param  Place|null  $place  what it lies on; null where its path does not lead to it any more
     */
    public function __construct(
        public string $drive,
        public string $folder,
        public int $copied,
        public int $completed,
        public int $there,
        public int $written,
        public int $verified,
        public array $missing,
        public ?string $fault,
        public bool $forgot,
        public ?Place $place = null,
    ) {}

    /** @param  int  $files  of the card */
    public function isWhole(int $files): bool
    {
        return $this->missing === [] && $this->fault === null && $this->verified >= $files;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'drive' => $this->drive,
            'folder' => $this->folder,
            'copied' => $this->copied,
            'completed' => $this->completed,
            'there' => $this->there,
            'written' => $this->written,
            'verified' => $this->verified,
            'missing' => array_map(FilePath::shown(...), $this->missing),
            'fault' => $this->fault,
            'forgot' => $this->forgot,
        ];
    }
}
