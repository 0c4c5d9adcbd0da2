<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** One copy of a card: shares of its bytes, 0 to 1. */
final readonly class DriveCopyProps
{
    /**
     * @param  string  $mark  its shape: right, wrong, not yet, copied or going
     * @param  string  $words  where it stands
     * @param  string  $since  what is known of it since it was read back, and when; empty before
     */
    public function __construct(
        public string $drive,
        public float $copied,
        public float $verified,
        public string $mark,
        public string $words,
        public string $since,
    ) {}
}
