<?php

declare(strict_types=1);

namespace App\Pages\Compare;

/** What a card or a reader can do, as far as it is known. Speed in MB/s. */
final readonly class LimitEdgeProps
{
    /** @param  float|null  $margin  half the 95 % confidence interval; null where it is only known to be at least that */
    public function __construct(public string $name, public string $words, public float $rate, public ?float $margin) {}
}
