<?php

declare(strict_types=1);

namespace App\Pages\Practice;

/** A level of practice, and how it went so far. */
final readonly class PracticeLevelProps
{
    public function __construct(public int $level, public string $words, public int $rounds, public int $right) {}
}
