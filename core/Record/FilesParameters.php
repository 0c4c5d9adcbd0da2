<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Probe\SmallFiles;

/** How a run of small files was asked for. */
final readonly class FilesParameters implements Parameters
{
    public function __construct(public int $files = SmallFiles::FILES, public int $runs = SmallFiles::ROUNDS) {}

    public function rounds(): int
    {
        return $this->runs;
    }
}
