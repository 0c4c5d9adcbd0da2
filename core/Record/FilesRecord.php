<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Reading\Copy\SmallFilesResult;
use Tally\Value\Inline;

/** What is kept of a run of small files. */
final readonly class FilesRecord implements Result
{
    public function __construct(#[Inline] public SmallFilesResult $result) {}
}
