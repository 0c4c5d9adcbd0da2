<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A line of the ledger, in words. */
final readonly class ErasureProps
{
    /** @param  string|null  $tag  of the card, where it was named */
    public function __construct(
        public int $id,
        public string $on,
        public string $what,
        public string $device,
        public string $size,
        public string $person,
        public string $station,
        public ?string $why,
        public ?string $tag,
    ) {}
}
