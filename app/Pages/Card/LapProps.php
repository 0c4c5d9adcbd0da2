<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A lap of a timed copy. */
final readonly class LapProps
{
    /** @param  string  $words  what "done" meant */
    public function __construct(public string $words, public float $seconds, public string $time, public string $rate) {}
}
