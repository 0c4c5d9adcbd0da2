<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** What goes from one thing to the next in the reach map. */
final readonly class FlowProps
{
    /**
     * @param  string  $kind  card, reader or drive: card → reader, reader → host, host → drive
     * @param  string  $detail  in a few words, such as an amount
     * @param  float  $rate  MB/s, while something goes
     * @param  bool  $isPinch  whether what is busiest in the plan lies here
     */
    public function __construct(
        public string $kind,
        public string $from,
        public string $to,
        public string $detail,
        public float $rate,
        public bool $isPinch,
    ) {}
}
