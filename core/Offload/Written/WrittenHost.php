<?php

declare(strict_types=1);

namespace Tally\Offload\Written;

use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\Port;
use Tally\Quantity\Rate;
use Tally\Value\In;
use Tally\Value\WrongField;

/** A computer with its ports, as it is written down. */
final readonly class WrittenHost
{
    /**
     * @param  array<int|string, WrittenController|Rate>  $controllers  by name: a ceiling, or that and more
     * @param  float  $hash  bytes a second that its processor can checksum
     * @param  float  $previews  files a second of an import that builds previews; INF where none are built
     * @param  list<WrittenPort>  $ports
     *
     * @throws WrongField
     */
    public function __construct(
        public string $name,
        public array $controllers = [],
        #[In(Rate::class)]
        public float $hash = INF,
        public float $previews = INF,
        public array $ports = [],
    ) {
        if ($previews <= 0) {
            throw new WrongField('previews', 'give files a second, such as 2.3, or leave it out where none are built.');
        }
    }

    public static function of(Host $host): self
    {
        return new self(
            name: $host->name,
            controllers: array_column(
                array_map(fn (Controller $one): array => [$one->name, WrittenController::of($one)], $host->controllers),
                1,
                0,
            ),
            hash: $host->hash,
            previews: $host->previews,
            ports: array_map(WrittenPort::of(...), $host->ports),
        );
    }

    public function host(): Host
    {
        $controllers = [];
        foreach ($this->controllers as $name => $one) {
            $controllers[] = $one instanceof Rate ? new Controller((string) $name, $one->bytesPerSecond) : $one->controller((string) $name);
        }
        $ports = array_map(fn (WrittenPort $port): Port => $port->port(), $this->ports);

        return new Host($this->name, $controllers, $ports, $this->hash, previews: $this->previews);
    }
}
