<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use Tally\Transfer\FileEntry;
use Tally\Value\Format;

/** The record beside a copy, as far as it is read back. */
#[Format(CopyRecord::FORMAT, CopyRecord::VERSION)]
final readonly class FiledRecord
{
    /** @param  list<FileEntry>  $files */
    public function __construct(public array $files = []) {}
}
