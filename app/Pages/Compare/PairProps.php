<?php

declare(strict_types=1);

namespace App\Pages\Compare;

/** The same thing measured on both sides. Speeds in MB/s. */
final readonly class PairProps
{
    /** @param  string  $tendency  how the second stands to the first: faster, slower, inside the noise, a single look */
    public function __construct(public string $name, public float $first, public float $second, public string $tendency) {}
}
