<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** A figure of a card on a day. */
final readonly class LifePointProps
{
    /**
     * @param  float  $day  days since the beginning of the picture
     * @param  float  $rate  MB/s
     * @param  string  $words  which run, and what it was
     */
    public function __construct(public float $day, public float $rate, public string $words, public int $run) {}
}
