<?php

declare(strict_types=1);

namespace Tally\Probe\EarlyCheck;

use Tally\Device\Device;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Pattern\TestPattern;

/**
 * Single places of a medium, written and looked at outside of any order.
 *
 * What a place is given is always the same for one imprint, so writing one again does no harm to what was written before.
 */
final readonly class Spots
{
    private Appraiser $appraiser;

    public function __construct(public Device $device, public TestPattern $imprint)
    {
        $this->appraiser = new Appraiser($imprint);
    }

    /**
     * Writes some, so that what is read after came from the medium.
     *
     * @param  list<int>  $offsets
     *
     * @throws \Tally\Device\Fault\EndsRun
     */
    public function write(array $offsets, int $length): void
    {
        foreach ($offsets as $offset) {
            try {
                $this->device->write($offset, $this->imprint->stretch($offset, $length));
            } catch (CannotWrite) {
                // Reading it will tell what is there.
            }
        }
        $this->bringDown();
    }

    /** @throws \Tally\Device\Fault\EndsRun */
    public function bringDown(): void
    {
        try {
            $this->device->settle();
        } catch (CannotWrite|CannotSettle) {
            // The same.
        }
        $this->device->forget();
    }

    /**
     * @return non-empty-list<Patch>
     *
     * @throws \Tally\Device\Fault\EndsRun
     */
    public function look(int $offset, int $length): array
    {
        $length = min($length, $this->imprint->size->count - $offset);
        try {
            $patches = $this->appraiser->appraise($this->device->read($offset, $length), $offset);
        } catch (CannotRead) {
            $patches = [];
        }

        return $patches === [] ? [new Patch(BlockClass::Unreadable, $offset, $length)] : $patches;
    }
}
