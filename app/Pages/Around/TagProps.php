<?php

declare(strict_types=1);

namespace App\Pages\Around;

use Tally\Verdict\VerdictKind;

/** A card in the tray. */
final readonly class TagProps
{
    /**
     * @param  string|null  $badLot  how many of its lot are Sham, such as “2 of 5”; null when none is
     * @param  bool  $due  whether it is to be tested again today
     * @param  bool  $retired  whether it is out of service
     * @param  string|null  $footage  “not secured” or “may be cleared”; null where it carries none
     */
    public function __construct(
        public string $tag,
        public string $line,
        public VerdictKind $verdict,
        public ?VerdictKind $overruled,
        public int $runs,
        public bool $going,
        public ?string $badLot,
        public ?string $footage,
        public bool $due,
        public bool $retired,
    ) {}
}
