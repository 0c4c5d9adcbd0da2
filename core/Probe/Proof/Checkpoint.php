<?php

declare(strict_types=1);

namespace Tally\Probe\Proof;

use Tally\Quantity\Bytes;
use Tally\Reading\BlockMap;
use Tally\Reading\Course\SustainedFloor;
use Tally\Value\Alterable;
use Tally\Value\Key;

/** Where a proof can be taken up again: what is surely on the medium, and what of it was read back. */
final readonly class Checkpoint
{
    use Alterable;

    /**
     * @param  int  $imprint  number of the pattern
     * @param  int  $written  bytes from the start that were written and brought down
     * @param  bool  $allWritten  whether the write pass is at its end
     * @param  int  $read  bytes from the start that were read back
     * @param  array<int, int>  $refused  offset → length of what the device refused to write
     * @param  list<array{float, float}>  $writeTrace
     * @param  list<array{float, float}>  $readTrace
     * @param  float  $writing  seconds spent so far
     * @param  string|null  $folder  in which its files lie, of one in a mounted card
     * @param  array{float, float}|null  $lowestWindow  bytes from the start: where the lowest window of writing begins and ends
     */
    public function __construct(
        public int $imprint,
        public Bytes $size,
        public int $written = 0,
        public bool $allWritten = false,
        public int $read = 0,
        public BlockMap $core = new BlockMap(),
        public array $refused = [],
        public array $writeTrace = [],
        public array $readTrace = [],
        public float $writing = 0.0,
        public float $reading = 0.0,
        public bool $lookBack = true,
        #[Key('lowest')]
        public ?array $lowestWindow = null,
        public ?string $folder = null,
    ) {}

    public function in(?string $folder): self
    {
        return $this->with(folder: $folder);
    }

    public function lowest(): ?SustainedFloor
    {
        return $this->lowestWindow === null
            ? null
            : SustainedFloor::met($this->lowestWindow[0], $this->lowestWindow[1], SustainedFloor::WINDOW);
    }

    /** The same proof with everything still to be read back: after a card was taken out and put in again. */
    public function readAnew(): self
    {
        return $this->with(allWritten: true, read: 0, core: new BlockMap(), readTrace: [], reading: 0.0);
    }
}
