<?php

declare(strict_types=1);

namespace Tally\Offload\Written;

use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;
use Tally\Quantity\Rate;
use Tally\Value\In;

/** A card reader on its cable, as it is written down. */
final readonly class WrittenReader
{
    /**
     * @param  float  $uplink  bytes a second
     * @param  float  $cable  bytes a second; the lower of the two counts
     * @param  array<string, float>  $lanes  bytes a second
     * @param  list<ReaderSlot>  $slots
     */
    public function __construct(
        public string $name,
        #[In(Rate::class)]
        public float $uplink = INF,
        #[In(Rate::class)]
        public float $cable = INF,
        #[In(Rate::class)]
        public array $lanes = [],
        public array $slots = [],
    ) {}

    public static function of(Reader $reader): self
    {
        return new self(name: $reader->name, uplink: $reader->uplink, lanes: $reader->lanes, slots: $reader->slots);
    }

    public function reader(): Reader
    {
        return new Reader($this->name, $this->slots, $this->lanes, min($this->uplink, $this->cable));
    }
}
