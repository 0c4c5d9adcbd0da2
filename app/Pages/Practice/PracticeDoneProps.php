<?php

declare(strict_types=1);

namespace App\Pages\Practice;

/** Something that was done, and what came of it. */
final readonly class PracticeDoneProps
{
    public function __construct(public string $clock, public string $what, public string $finds) {}
}
