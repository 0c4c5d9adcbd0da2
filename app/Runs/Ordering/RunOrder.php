<?php

declare(strict_types=1);

namespace App\Runs\Ordering;

use App\Models\Stations\Slot;
use Tally\Record\Parameters;
use Tally\Record\RunKind;
use Tally\Simulated\SimulatedChoice;

/** A run as it was asked for, checked as far as it can be without looking at the card. */
final readonly class RunOrder
{
    /**
     * @param  string|null  $beside  what else will be going on
     * @param  int|null  $drive  where a timed copy goes
     * @param  string|null  $lost  why footage that is not secured may be, in writing
     * @param  string|null  $shown  the token of the medium that the page showed in the slot
     */
    public function __construct(
        public Slot $slot,
        public RunKind $kind,
        public Parameters $parameters,
        public ?SimulatedChoice $simulated = null,
        public ?string $by = null,
        public ?string $beside = null,
        public ?int $drive = null,
        public ?string $shown = null,
        public ?string $lost = null,
    ) {}
}
