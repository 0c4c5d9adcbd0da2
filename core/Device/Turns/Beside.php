<?php

declare(strict_types=1);

namespace Tally\Device\Turns;

use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\HostFile;
use Tally\Device\Host\OpenFile;
use Tally\Device\Host\ProcessBeside;
use Tally\Device\Raw\DirectFile;
use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;

/**
 * What the process beside does, a line for each thing that it is told:
 *
 *     open plain|direct PATH
 *     make LENGTH ADDRESS RUN SIZE         the pattern, to be written next
 *     write OFFSET                         wrote BYTES, or failed BYTES-BEFORE ERRNO
 *     read OFFSET LENGTH ADDRESS RUN SIZE  holds BYTES where it is the pattern of that address, else came BYTES and the bytes
 *                                          themselves, or failed BYTES-BEFORE ERRNO
 *
 * Whatever else keeps it from its turn is answered by “cannot”.
 */
final class Beside
{
    public const READY = 'ready';

    public const HOLDS = 'holds';

    public const FAILED = 'failed';

    public const CANNOT = 'cannot';

    private ?HostFile $file = null;

    private ?TestPattern $imprint = null;

    private ?string $made = null;

    public static function work(): void
    {
        ProcessBeside::leaveSignals();
        $beside = new self();
        fwrite(STDOUT, self::READY."\n");
        while (($line = fgets(STDIN)) !== false) {
            $words = explode(' ', rtrim($line, "\n"));
            $numbers = array_map(intval(...), array_slice($words, 1));
            try {
                match ($words[0]) {
                    'open' => $beside->open($words[1] === 'direct', $words[2]),
                    'make' => $beside->make(...$numbers),
                    'write' => $beside->write(...$numbers),
                    'read' => $beside->read(...$numbers),
                    default => null,
                };
            } catch (HostError $error) {
                fwrite(STDOUT, self::FAILED." {$error->moved} {$error->errno}\n");
            }
        }
    }

    private function open(bool $isDirect, string $path): void
    {
        try {
            $file = OpenFile::at($path, Calls::READ_WRITE);
            $direct = $isDirect ? DirectFile::open($file, false) : null;
            // Who goes past the host's cache alone would be told from it by the other one.
            $this->file = match (true) {
                ! $isDirect => $file,
                $direct?->isDirect === true => $direct,
                default => null,
            };
        } catch (HostError) {
            $this->file = null;
        }
    }

    private function make(int $length, int $address, int $run, int $size): void
    {
        $this->made = $this->imprint($run, $size)->stretch($address, $length)->bytes();
        $this->file?->prepare($this->made);
    }

    /** @throws HostError */
    private function write(int $offset): void
    {
        if ($this->file === null || $this->made === null) {
            fwrite(STDOUT, self::CANNOT."\n");

            return;
        }
        $this->file->write($offset, $this->made);
        fwrite(STDOUT, 'wrote '.strlen($this->made)."\n");
        $this->made = null;
    }

    /** @throws HostError */
    private function read(int $offset, int $length, int $address, int $run, int $size): void
    {
        if ($this->file === null) {
            fwrite(STDOUT, self::CANNOT."\n");

            return;
        }
        $bytes = $this->file->read($offset, $length);
        $many = strlen($bytes);
        fwrite(STDOUT, $this->imprint($run, $size)->holds($bytes, $address) ? self::HOLDS." {$many}\n" : "came {$many}\n{$bytes}");
    }

    private function imprint(int $run, int $size): TestPattern
    {
        if ($this->imprint?->run !== $run || $this->imprint->size->count !== $size) {
            $this->imprint = new TestPattern($run, Bytes::of($size));
        }

        return $this->imprint;
    }
}
