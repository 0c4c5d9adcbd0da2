<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Quantity\Bytes;
use Tally\Value\Key;

/** How much there was to prove: all that the medium shows of itself, or all that a file system gave. */
final readonly class Extent
{
    /** @param  Bytes|null  $shown  null where only a part was asked for and nobody knows how much more there was */
    public function __construct(public ?Bytes $shown = null, #[Key('folder')] public bool $isFolder = true) {}

    /** Whether a proof of this size covers all that the medium shows of itself, with no file system in between. */
    public function isMedium(Bytes $size): bool
    {
        return ! $this->isFolder && $this->shown !== null && $size->count >= $this->shown->count;
    }
}
