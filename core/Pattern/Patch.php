<?php

declare(strict_types=1);

namespace Tally\Pattern;

use Tally\Value\Row;

/** A range of a medium in which everything came back in the same way. */
#[Row]
final readonly class Patch
{
    /**
     * @param  int|null  $source  for an echo: the address whose data the first byte of the patch is
     * @param  int  $wrongBits  for scrambled bytes: how many bits differ
     */
    public function __construct(
        public BlockClass $class,
        public int $offset,
        public int $length,
        public ?int $source = null,
        public int $wrongBits = 0,
    ) {}

    /** The first byte behind it. */
    public function end(): int
    {
        return $this->offset + $this->length;
    }

    /** How far ahead of its own address the data was meant for; null unless it is an echo. */
    public function shift(): ?int
    {
        return $this->source === null ? null : $this->source - $this->offset;
    }
}
