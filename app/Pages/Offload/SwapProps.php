<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** When hands put a card in, or are to. Seconds from the beginning. */
final readonly class SwapProps
{
    public function __construct(public string $words, public float $at, public bool $isDone) {}
}
