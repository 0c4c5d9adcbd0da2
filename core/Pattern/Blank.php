<?php

declare(strict_types=1);

namespace Tally\Pattern;

/** Bytes that nothing was ever kept in. */
final readonly class Blank implements Data
{
    public function __construct(private int $length, private string $filler = "\xFF") {}

    public function length(): int
    {
        return $this->length;
    }

    public function bytes(): string
    {
        return str_repeat($this->filler, $this->length);
    }
}
