<?php

declare(strict_types=1);

namespace Tally\Ledger;

/** When a card is tested again, and when it has served: house rules. Defaults are chosen, no source. */
final readonly class DueRules
{
    public const PROVE_MONTHS = 12;

    public const MEASURE_MONTHS = 6;

    public const FILLS = 50;

    public const SHOOT_DAYS = 14;

    public const SHOOT_MONTHS = 3;

    /**
     * @param  int  $proveMonths  it is proven again so many months after the last whole proof
     * @param  int  $measureMonths  and measured again so many after its last speed
     * @param  int  $fills  it is proven again when so many times its capacity was written since
     * @param  bool  $afterIncident  whether it is proven again after something happened to it
     * @param  int  $shootDays  so many days before a shoot that it goes along on
     * @param  int  $shootMonths  it must have been proven within so many months
     * @param  int  $retireYears  it has served after so many years; 0 for no such rule
     * @param  int  $retireFills  or when so many times its capacity was written; 0 for no such rule
     */
    public function __construct(
        public int $proveMonths = self::PROVE_MONTHS,
        public int $measureMonths = self::MEASURE_MONTHS,
        public int $fills = self::FILLS,
        public bool $afterIncident = true,
        public int $shootDays = self::SHOOT_DAYS,
        public int $shootMonths = self::SHOOT_MONTHS,
        public int $retireYears = 0,
        public int $retireFills = 0,
    ) {}
}
