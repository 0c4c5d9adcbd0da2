<?php

declare(strict_types=1);

namespace App\Pages\Practice;

/** Something that can be done next, and how long it takes. */
final readonly class PracticeMoveProps
{
    public function __construct(public string $id, public string $words, public string $takes, public bool $isDone) {}
}
