<?php

declare(strict_types=1);

namespace Tally\Pattern;

/** Bytes that are at hand. */
final readonly class Literal implements Data
{
    public function __construct(private string $bytes) {}

    public function length(): int
    {
        return strlen($this->bytes);
    }

    public function bytes(): string
    {
        return $this->bytes;
    }
}
