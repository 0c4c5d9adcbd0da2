<?php

declare(strict_types=1);

namespace Tally\Offload\Written;

use Tally\Offload\Question\LadenCard;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Value\In;

/** A card with footage on it, as it is written down. */
final readonly class WrittenCard
{
    /**
     * @param  float  $read  bytes a second that it was seen to give
     * @param  list<string>  $buses  that it speaks
     * @param  array<string, float>  $readIn  by reader: bytes a second that it was seen to give there
     */
    public function __construct(
        public string $tag,
        public Bytes $bytes,
        #[In(Rate::class)]
        public float $read,
        public int $files = 0,
        public array $buses = [],
        #[In(Rate::class)]
        public array $readIn = [],
    ) {}

    public static function of(LadenCard $card): self
    {
        return new self($card->tag, Bytes::of((int) $card->bytes), $card->read, $card->files, buses: $card->buses, readIn: $card->readIn);
    }

    public function card(): LadenCard
    {
        return new LadenCard(
            $this->tag,
            (float) $this->bytes->count,
            $this->files,
            $this->read,
            buses: $this->buses,
            readIn: $this->readIn,
        );
    }
}
