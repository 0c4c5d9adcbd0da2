<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\EndsRun;
use Tally\Pattern\Data;
use Tally\Quantity\Bytes;

/** The seam to a medium, whatever it is. Offsets and lengths are in bytes. */
interface Device
{
    /** How much can be written, from offset 0. */
    public function size(): Bytes;

    /** How many bytes are best moved in one call: a multiple of the pattern's block. */
    public function stretch(): int;

    /** @throws CannotWrite|EndsRun */
    public function write(int $offset, Data $data): void;

    /** @throws CannotRead|EndsRun */
    public function read(int $offset, int $length): Data;

    /**
     * Returns when everything written is on the medium.
     *
     * @throws CannotSettle|EndsRun|CannotWrite for something that was taken before and could not be kept
     */
    public function settle(): void;

    /**
     * Makes the host drop what it remembers of the medium.
     *
     * @return bool false where the host cannot be made to forget (a file system in memory): reads then say nothing of the medium
     */
    public function forget(): bool;

    public function facts(): DeviceFacts;

    /** Lets go of the medium, and takes away the files that the run wrote besides others' on it. Safe to call twice. */
    public function close(): void;

    /** Lets go of it with everything left on it, for the run to be continued. */
    public function leave(): void;
}
