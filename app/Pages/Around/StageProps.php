<?php

declare(strict_types=1);

namespace App\Pages\Around;

/** A stage on the line, and how many cards wait there. */
final readonly class StageProps
{
    public function __construct(public string $key, public string $label, public int $waiting) {}
}
