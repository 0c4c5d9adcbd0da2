<?php

declare(strict_types=1);

namespace Tally\Transfer;

/** A line in the journal of a copy: a file that is whole, or that the file of a number was read back, or is gone. */
final readonly class JournalLine
{
    /** @param  int|null  $part  of the copy, in which the file came */
    public function __construct(
        public ?FileEntry $file = null,
        public ?int $part = null,
        public ?int $verified = null,
        public ?int $gone = null,
    ) {}
}
