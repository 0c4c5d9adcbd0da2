<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A recording that stopped. */
final readonly class StopProps
{
    /** @param  bool  $isTheCards  whether it is held against the card */
    public function __construct(
        public int $id,
        public string $camera,
        public ?string $mode,
        public string $cause,
        public bool $isTheCards,
        public ?string $after,
        public string $by,
        public string $on,
    ) {}
}
