<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

/** Where one reader or one drive is plugged in. */
final readonly class Port
{
    /**
     * @param  string|null  $controller  of its host; null where nothing is shared
     * @param  float  $ceiling  bytes a second each way; INF for none
     * @param  bool  $isHalf  one ceiling for both ways together, as USB at 480 Mb/s has
     */
    public function __construct(
        public string $name,
        public ?string $controller = null,
        public float $ceiling = INF,
        public bool $isHalf = false,
    ) {}
}
