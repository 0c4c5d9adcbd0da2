<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Models\Stations\SlotKind;

/** A slot of this station, as seen from a card. */
final readonly class SlotProps
{
    /**
     * @param  LiesProps|null  $lies  of a raw slot: what is erased
     * @param  string|null  $refusal  why the card cannot go there
     * @param  string  $chain  the links from card to host
     * @param  string  $pinch  the slowest of them, with its rate
     * @param  string|null  $plain  of a folder on this computer: that it is no card, and how much is written there at the most
     * @param  string|null  $expected  how long the run would take there, in words
     */
    public function __construct(
        public int $id,
        public string $name,
        public SlotKind $kind,
        public ?LiesProps $lies,
        public ?string $refusal,
        public string $chain,
        public string $pinch,
        public ?string $plain,
        public ?string $expected,
    ) {}
}
