<?php

declare(strict_types=1);

namespace App\Ledger;

use Carbon\CarbonInterface;

/** Something that happened to a card. */
final readonly class LifeEvent
{
    /**
     * @param  string  $kind  bought, test, proof, shoot, offload, cleared, trouble, said
     * @param  string  $words  in a word or two
     * @param  string  $detail  more of it; empty where there is none
     * @param  string|null  $href  where it is looked at
     */
    public function __construct(
        public CarbonInterface $at,
        public string $kind,
        public string $words,
        public string $detail = '',
        public ?string $href = null,
    ) {}
}
