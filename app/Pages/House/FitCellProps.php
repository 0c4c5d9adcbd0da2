<?php

declare(strict_types=1);

namespace App\Pages\House;

/** What a card does in one place. */
final readonly class FitCellProps
{
    /**
     * @param  float|null  $rate  MB/s; null when it does not work there
     * @param  string  $why  the link that ends it, or why it does not work
     * @param  string  $origin  where the figure of that link comes from
     * @param  bool  $isOwn  whether the house measured it itself
     */
    public function __construct(public ?float $rate, public string $why, public string $origin, public bool $isOwn) {}
}
