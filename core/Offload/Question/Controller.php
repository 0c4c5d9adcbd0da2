<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

/** What several ports of a host share. A hub or a dock is one that hangs behind another. */
final readonly class Controller
{
    /**
     * @param  float  $ceiling  bytes a second each way; INF for none
     * @param  bool  $isHalf  one ceiling for both ways together
     * @param  string|null  $behind  another controller of the same host, which all of it passes too
     */
    public function __construct(
        public string $name,
        public float $ceiling = INF,
        public bool $isHalf = false,
        public ?string $behind = null,
    ) {}
}
