<?php

declare(strict_types=1);

namespace App\Pages\House;

/** When cards are tested again, as it is in its form. */
final readonly class DueRulesProps
{
    /** @param  string  $afterIncident  1 or 0 */
    public function __construct(
        public string $proveMonths,
        public string $measureMonths,
        public string $fills,
        public string $afterIncident,
        public string $shootDays,
        public string $shootMonths,
        public string $retireYears,
        public string $retireFills,
    ) {}
}
