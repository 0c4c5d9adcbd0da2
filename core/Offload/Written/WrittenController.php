<?php

declare(strict_types=1);

namespace Tally\Offload\Written;

use Tally\Offload\Question\Controller;
use Tally\Quantity\Rate;
use Tally\Value\In;

/** What several ports of a host share, as it is written down. */
final readonly class WrittenController
{
    /** @param  float  $ceiling  bytes a second; INF for none */
    public function __construct(
        #[In(Rate::class)]
        public float $ceiling = INF,
        public bool $half = false,
        public ?string $behind = null,
    ) {}

    public static function of(Controller $one): self
    {
        return new self($one->ceiling, $one->isHalf, $one->behind);
    }

    public function controller(string $name): Controller
    {
        return new Controller($name, $this->ceiling, $this->half, $this->behind);
    }
}
