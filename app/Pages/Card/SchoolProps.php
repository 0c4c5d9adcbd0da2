<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A school, and how many modes or cards it lets pass. */
final readonly class SchoolProps
{
    public function __construct(public string $key, public string $label, public string $detail, public int $may, public int $of) {}
}
