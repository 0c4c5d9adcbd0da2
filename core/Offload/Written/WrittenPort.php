<?php

declare(strict_types=1);

namespace Tally\Offload\Written;

use Tally\Offload\Question\Port;
use Tally\Quantity\Rate;
use Tally\Value\In;

/** A port of a host, as it is written down. */
final readonly class WrittenPort
{
    /**
     * @param  float|null  $link  bytes a second; null for no ceiling
     * @param  float|null  $ceiling  the same, under its other name
     */
    public function __construct(
        public string $name,
        public ?string $controller = null,
        #[In(Rate::class)]
        public ?float $link = null,
        public bool $half = false,
        #[In(Rate::class)]
        public ?float $ceiling = null,
    ) {}

    public static function of(Port $port): self
    {
        return new self($port->name, $port->controller, $port->ceiling, $port->isHalf);
    }

    public function port(): Port
    {
        return new Port($this->name, $this->controller, $this->ceiling ?? $this->link ?? INF, $this->half);
    }
}
