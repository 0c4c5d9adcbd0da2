<?php

declare(strict_types=1);

namespace Tally\Offload\OneCard;

use Tally\Chain\Ceiling;
use Tally\Label\Bus;
use Tally\Quantity\Bytes;

/** A card with data to be brought home. */
final readonly class Source
{
    /**
     * @param  list<Bus>  $buses  the buses it may have
     * @param  Ceiling|null  $card  how fast the card itself reads, measured or claimed; null when nothing is known
     * @param  array<string, Ceiling>  $byReader  how fast it read in a certain reader: what was measured there wins
     * @param  array<string, array{float, float}>  $spreads  reader, or nothing for the card itself → least and most of what was measured;
     *                                                      bytes a second
     */
    public function __construct(
        public string $name,
        public array $buses,
        public string $connection,
        public Bytes $amount,
        public ?Ceiling $card = null,
        public array $byReader = [],
        public array $spreads = [],
    ) {}

    /** The bus that it settles on with a reader; null where the reader does not take it. */
    public function busIn(ReaderGear $reader): ?Bus
    {
        return Bus::fastestSettled($this->buses, $reader->buses);
    }
}
