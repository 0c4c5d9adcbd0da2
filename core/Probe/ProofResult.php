<?php

declare(strict_types=1);

namespace Tally\Probe;

use Tally\Quantity\Bytes;

/** What a full proof found. */
final readonly class ProofResult
{
    /**
     * @param  int  $imprint  number of the pattern that was written
     * @param  Bytes  $size  what the proof was to cover
     * @param  bool  $forgot  whether the host was made to forget before reading back
     * @param  list<array{float, float}>  $writeTrace  end offset, bytes a second
     * @param  list<array{float, float}>  $readTrace
     * @param  string|null  $note  what went wrong on the way: a full disk, a flush that failed
     * @param  string|null  $cutShort  a sentence, when the medium went away in between
     */
    public function __construct(
        public int $imprint,
        public Bytes $size,
        public CoreSample $core,
        public Passage $write,
        public Passage $read,
        public bool $forgot,
        public array $writeTrace,
        public array $readTrace,
        public bool $stopped,
        public ?string $note = null,
        public ?string $cutShort = null,
    ) {}

    public function isComplete(): bool
    {
        return $this->core->covered() === $this->size->count;
    }
}
