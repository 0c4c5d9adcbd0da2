<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** What a mark promises, in the units of cards and of cameras. */
final readonly class PromiseProps
{
    public function __construct(public string $mark, public string $megabytes, public string $megabits) {}
}
