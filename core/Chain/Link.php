<?php

declare(strict_types=1);

namespace Tally\Chain;

/** One link of a path, under the name its owner gives it. */
final readonly class Link
{
    public function __construct(public string $name, public Ceiling $ceiling) {}

    public function describe(): string
    {
        return $this->name.', '.$this->ceiling->usable()->print();
    }
}
