<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** Something in the runbook that takes its time. Times are seconds from the start. */
final readonly class BarProps
{
    /**
     * @param  string  $kind  copy, read back, relay or hands
     * @param  string  $tag  of the card
     * @param  string  $words  what it is, in a sentence without its times
     */
    public function __construct(public string $kind, public string $tag, public string $words, public float $from, public float $until) {}
}
