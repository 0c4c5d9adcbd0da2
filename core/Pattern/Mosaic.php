<?php

declare(strict_types=1);

namespace Tally\Pattern;

/** What a made-up medium gives back: a row of described pieces, whose bytes are made only when asked for. */
final readonly class Mosaic implements Data
{
    /** @param  list<Stretch|Noise|Blank>  $pieces */
    public function __construct(public array $pieces) {}

    public function length(): int
    {
        return array_sum(array_map(fn (Data $piece): int => $piece->length(), $this->pieces));
    }

    public function bytes(): string
    {
        return implode('', array_map(fn (Data $piece): string => $piece->bytes(), $this->pieces));
    }
}
