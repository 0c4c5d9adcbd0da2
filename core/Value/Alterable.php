<?php

declare(strict_types=1);

namespace Tally\Value;

/** The same value with some fields changed: no field is forgotten where one comes in later. */
trait Alterable
{
    /** @param  mixed  ...$changes  by name */
    private function with(mixed ...$changes): static
    {
        /** @var array<string, mixed> $changes */
        /** @var static $altered */
        $altered = Shape::of(static::class)->altered($this, $changes);

        return $altered;
    }
}
