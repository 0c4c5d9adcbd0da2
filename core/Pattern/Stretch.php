<?php

declare(strict_types=1);

namespace Tally\Pattern;

/** A piece of an imprint, as described; its bytes are made when asked for. */
final readonly class Stretch implements Data
{
    public function __construct(public TestPattern $imprint, public int $address, private int $length) {}

    public function length(): int
    {
        return $this->length;
    }

    /** The one behind it, of the same length where so much is left; null at the end. */
    public function next(): ?self
    {
        $address = $this->address + $this->length;

        return $address < $this->imprint->size->count ? $this->imprint->stretch($address, $this->length) : null;
    }

    public function is(self $other): bool
    {
        return [$this->imprint->run, $this->imprint->size->count, $this->address, $this->length] ===
            [$other->imprint->run, $other->imprint->size->count, $other->address, $other->length];
    }

    public function bytes(): string
    {
        $whole =
            $this->address % TestPattern::BLOCK === 0 &&
            ($this->length === TestPattern::BLOCK ||
                ($this->address + $this->length === $this->imprint->size->count && $this->length < TestPattern::BLOCK));

        return $whole ? $this->imprint->block($this->address) : $this->imprint->range($this->address, $this->length);
    }
}
