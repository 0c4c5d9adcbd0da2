<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Quantity\Bytes;

/** How much there was to prove: all that the medium shows of itself, or all that a file system gave. */
final readonly class Extent
{
    /** @param  Bytes|null  $shown  null where only a part was asked for and nobody knows how much more there was */
    public function __construct(public ?Bytes $shown, public bool $isFolder) {}

    /** Whether a proof of this size covers all that the medium shows of itself, with no file system in between. */
    public function isMedium(Bytes $size): bool
    {
        return ! $this->isFolder && $this->shown !== null && $size->count >= $this->shown->count;
    }

    /**
     * Of before: what was kept was only whether all of a medium was asked for.
     *
     * @throws NotUsable
     */
    public static function unpack(Fields $record, Bytes $size): self
    {
        return $record->has('folder')
            ? new self($record->has('shown') ? $record->size('shown') : null, $record->boolean('folder'))
            : ($record->boolean('whole')
                ? new self($size, false)
                : new self(null, true));
    }

    /** @return array{whole: bool, shown: int|null, folder: bool} */
    public function pack(Bytes $size): array
    {
        return ['whole' => $this->isMedium($size), 'shown' => $this->shown?->count, 'folder' => $this->isFolder];
    }
}
