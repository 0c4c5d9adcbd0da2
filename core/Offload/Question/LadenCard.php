<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

use Tally\Value\Alterable;

/** A card with footage on it. */
final readonly class LadenCard
{
    use Alterable {
        with as public;
    }

    /**
     * @param  float  $bytes  of footage
     * @param  float  $read  bytes a second that it was seen to give
     * @param  list<string>  $buses  that it speaks
     * @param  array<string, float>  $readIn  reader → bytes a second that it was seen to give there
     */
    public function __construct(
        public string $tag,
        public float $bytes,
        public int $files,
        public float $read,
        public array $buses,
        public array $readIn = [],
    ) {}

    /** Bytes a second. */
    public function readIn(string $reader): float
    {
        return $this->readIn[$reader] ?? $this->read;
    }
}
