<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Chain\Path;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;

/** One way from a card to a drive, with everything else out of the way. */
final readonly class WayHome
{
    /**
     * @param  Path  $path  card, its bus in the reader, reader at its port, drive at its port, drive
     * @param  Path  $back  the way the copy is read again for verifying
     */
    public function __construct(
        public string $reader,
        public string $host,
        public string $drive,
        public Path $path,
        public Path $back,
        private Bytes $amount,
    ) {}

    public function copy(): Span
    {
        return $this->path->usable()->timeFor($this->amount);
    }

    public function verify(): Span
    {
        return $this->back->usable()->timeFor($this->amount);
    }

    /** When the copy is made and has been read back. */
    public function total(): Span
    {
        return Span::seconds($this->copy()->seconds + $this->verify()->seconds);
    }
}
