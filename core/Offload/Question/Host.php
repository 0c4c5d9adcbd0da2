<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

/** A computer with its ports. */
final readonly class Host
{
    /**
     * @param  list<Controller>  $controllers
     * @param  list<Port>  $ports
     * @param  float  $hash  bytes a second that its processor can checksum; INF where that is no limit
     * @param  float  $previews  files a second that an import which builds previews gets through; INF where none are built
     */
    public function __construct(
        public string $name,
        public array $controllers,
        public array $ports,
        public float $hash = INF,
        public float $previews = INF,
    ) {}

    /**
     * @param  list<Controller>  $controllers
     * @param  list<Port>  $ports
     */
    public function with(array $controllers, array $ports): self
    {
        return new self($this->name, $controllers, $ports, $this->hash, previews: $this->previews);
    }
}
