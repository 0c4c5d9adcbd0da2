<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** Something that happened to a card. */
final readonly class LifeEventProps
{
    /**
     * @param  float  $day  days since the beginning of the picture
     * @param  string  $on  such as `3 Nov 2026`
     * @param  string  $kind  bought, test, proof, shoot, offload, cleared, trouble, said
     * @param  string  $words  in a word or two
     * @param  string  $detail  more of it; empty where there is none
     * @param  string|null  $href  where it is looked at
     */
    public function __construct(
        public float $day,
        public string $on,
        public string $kind,
        public string $words,
        public string $detail,
        public ?string $href,
    ) {}
}
