<?php

declare(strict_types=1);

namespace Tests\Core\Device\Turns;

use Tally\Device\Host\Calls;
use Tally\Device\Host\HostFile;
use Tally\Device\Host\OpenFile;

/** A file that counts what this process itself moves of it; the process beside may be led to another one. */
final class CountedFile implements HostFile
{
    public int $written = 0;

    public int $read = 0;

    private readonly OpenFile $file;

    private readonly OpenFile $led;

    /** @param  string|null  $ledTo  where the other one is led to instead */
    public function __construct(public readonly string $path, ?string $ledTo = null)
    {
        $this->file = OpenFile::at($path, Calls::READ_WRITE | Calls::CREATE);
        $this->led = $ledTo === null ? $this->file : OpenFile::at($ledTo, Calls::READ_WRITE);
    }

    public function prepare(string $bytes): void {}

    public function write(int $offset, string $bytes): void
    {
        $this->written++;
        $this->file->write($offset, $bytes);
    }

    public function read(int $offset, int $length): string
    {
        $this->read++;

        return $this->file->read($offset, $length);
    }

    public function held(): string
    {
        return $this->led->held();
    }
}
