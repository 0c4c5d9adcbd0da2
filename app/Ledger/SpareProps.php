<?php

declare(strict_types=1);

namespace App\Ledger;

/** Something that records without a pause on a shoot that is ahead, and its spare. */
final readonly class SpareProps
{
    /**
     * @param  string  $card  its tag; empty where there is none
     * @param  string  $trouble  what is wrong with it; empty where nothing is
     */
    public function __construct(
        public int $shoot,
        public string $name,
        public string $begins,
        public string $what,
        public string $card,
        public string $trouble,
    ) {}
}
