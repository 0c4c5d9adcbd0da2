<?php

declare(strict_types=1);

namespace App\Props\Kit;

/** The most a link carries, and where each figure comes from. MB/s. */
final readonly class CeilingProps
{
    /**
     * @param  float  $usable  what is planned with
     * @param  string  $origin  where that figure comes from
     */
    public function __construct(public string $link, public float $nominal, public float $usable, public string $origin, public string $source) {}
}
