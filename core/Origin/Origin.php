<?php

declare(strict_types=1);

namespace Tally\Origin;

use Tally\Buying\Price;

/** Where a card comes from, and the codes by which it can be told from another. */
final readonly class Origin
{
    /** @param  Provenance|null  $provenance  null when nobody recorded it */
    public function __construct(
        public ?string $serial = null,
        public ?string $backCode = null,
        public ?string $lot = null,
        public ?Price $price = null,
        public ?Provenance $provenance = null,
    ) {}
}
