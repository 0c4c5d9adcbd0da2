<?php

declare(strict_types=1);

namespace Tally\Chain;

/** One link of a path, under the name its owner gives it. */
final readonly class Link
{
    public function __construct(public string $name, public Ceiling $ceiling) {}

    /** The slowest of several that stand for one: a device on a cable at a port runs at the least of the three. */
    public static function slowest(self $first, self ...$more): self
    {
        foreach ($more as $link) {
            $first = $link->ceiling->usable()->isBelow($first->ceiling->usable()) ? $link : $first;
        }

        return $first;
    }

    public function describe(): string
    {
        return $this->name.', '.$this->ceiling->usable()->print();
    }
}
