<?php

declare(strict_types=1);

namespace Tally\Device\Host;

/** Something open that bytes are written to and read from. Offsets and lengths in bytes. */
interface HostFile
{
    /** Lays ready what will be written next, where that takes from the time of writing. */
    public function prepare(string $bytes): void;

    /** @throws HostError with how much was taken before */
    public function write(int $offset, string $bytes): void;

    /**
     * @return string shorter than asked for only where it ends
     *
     * @throws HostError
     */
    public function read(int $offset, int $length): string;

    /** @return string a path that leads to this very one, for as long as it is open */
    public function held(): string;
}
