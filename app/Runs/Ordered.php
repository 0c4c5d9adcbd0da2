<?php

declare(strict_types=1);

namespace App\Runs;

use App\Models\Slot;
use Tally\StandIn\Shelf;

/** A run as it was asked for, checked as far as it can be without looking at the card. */
final readonly class Ordered
{
    /**
     * @param  array<string, mixed>  $parameters  as they are kept with the run
     * @param  string|null  $beside  what else will be going on
     */
    public function __construct(
        public Slot $slot,
        public RunKind $kind,
        public array $parameters,
        public ?Shelf $standIn = null,
        public ?string $by = null,
        public ?string $beside = null,
    ) {}
}
