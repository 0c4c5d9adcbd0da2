<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A station with its slots. */
final readonly class BenchProps
{
    /**
     * @param  string  $state  in words: at work, away since when
     * @param  int  $left  runs and offloads at it, while it is away
     * @param  list<BenchSlotProps>  $slots
     * @param  list<PlaceProps>  $ports  of its host
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $host,
        public bool $here,
        public bool $away,
        public string $state,
        public int $left,
        public array $slots,
        public array $ports,
    ) {}
}
