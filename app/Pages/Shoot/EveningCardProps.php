<?php

declare(strict_types=1);

namespace App\Pages\Shoot;

/** What is on a card on an evening. */
final readonly class EveningCardProps
{
    public function __construct(public string $tag, public string $size) {}
}
