<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use JsonSerializable;
use Tally\Transfer\FilePath;

/** How all that lies in one place stands to its lists. */
final readonly class TreeFinding implements JsonSerializable
{
    /**
     * @param  string  $given  as it was asked for
     * @param  list<FolderFinding>  $folders  that have lists
     * @param  list<string>  $withoutList  folders with files that no list speaks of
     */
    public function __construct(public string $given, public array $folders, public array $withoutList) {}

    public function isAsListed(): bool
    {
        return array_filter($this->folders, fn (FolderFinding $one): bool => ! $one->isAsListed()) === [];
    }

    public function wasStopped(): bool
    {
        return array_filter($this->folders, fn (FolderFinding $one): bool => $one->stopped) !== [];
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'given' => FilePath::shown($this->given),
            'as_listed' => $this->isAsListed(),
            'stopped' => $this->wasStopped(),
            'folders' => $this->folders,
            'without_list' => array_map(FilePath::shown(...), $this->withoutList),
        ];
    }
}
