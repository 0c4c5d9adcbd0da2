<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Probe\SmallFiles;

/** How a run of small files was asked for. */
final readonly class FilesParameters implements Parameters
{
    public function __construct(public int $files = SmallFiles::FILES, public int $times = SmallFiles::ROUNDS) {}

    public static function unpack(Fields $record): self
    {
        return new self($record->count('files', SmallFiles::FILES), max(1, $record->count('runs', SmallFiles::ROUNDS)));
    }

    public function pack(): array
    {
        return ['size' => 0, 'files' => $this->files, 'runs' => $this->times];
    }

    public function rounds(): int
    {
        return $this->times;
    }
}
