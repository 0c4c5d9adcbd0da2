<?php

declare(strict_types=1);

namespace App\Props\Follow;

/** One copy of a card: shares of its bytes, 0 to 1. */
final readonly class DriveCopyProps
{
    /** @param  string  $words  where it stands, for those who do not see the bars */
    public function __construct(
        public string $drive,
        public float $copied,
        public float $verified,
        public string $words,
        public bool $isWrong,
    ) {}
}
