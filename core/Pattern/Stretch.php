<?php

declare(strict_types=1);

namespace Tally\Pattern;

/** A piece of an imprint, as described; its bytes are made when asked for. */
final readonly class Stretch implements Data
{
    public function __construct(public Imprint $imprint, public int $address, private int $length) {}

    public function length(): int
    {
        return $this->length;
    }

    public function bytes(): string
    {
        $whole =
            $this->address % Imprint::BLOCK === 0 &&
            ($this->length === Imprint::BLOCK ||
                ($this->address + $this->length === $this->imprint->size->count && $this->length < Imprint::BLOCK));

        return $whole ? $this->imprint->block($this->address) : $this->imprint->range($this->address, $this->length);
    }
}
