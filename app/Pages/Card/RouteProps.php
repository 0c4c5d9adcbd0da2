<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** One way home for a card's footage. */
final readonly class RouteProps
{
    /**
     * @param  list<LinkProps>  $links
     * @param  float  $rate  MB/s
     * @param  float  $seconds  copied and read back
     */
    public function __construct(
        public string $reader,
        public string $host,
        public string $drive,
        public array $links,
        public string $pinch,
        public float $rate,
        public string $copy,
        public string $verify,
        public string $total,
        public float $seconds,
    ) {}
}
