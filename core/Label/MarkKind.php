<?php

declare(strict_types=1);

namespace Tally\Label;

/** A kind of speed mark, by the letters before its number. */
enum MarkKind: string
{
    case SpeedClass = 'C';
    case UhsClass = 'U';
    case VideoClass = 'V';
    case ExpressClass = 'E';
    case AppClass = 'A';
    case Vpg = 'VPG';

    /** Whether it guarantees what is kept up. Source: CompactFlash Association, VPG profiles; SD Express E, from memory. */
    public function isGuarantee(): bool
    {
        return $this === self::Vpg || $this === self::ExpressClass;
    }

    /** SD marks stand on SD cards, VPG on the CompactFlash family. */
    public function isSecureDigital(): bool
    {
        return $this !== self::Vpg;
    }

    /** Whether cards are bought by it today; of equal floors the newest kind counts. Common practice, no source. */
    public function isSold(): bool
    {
        return in_array($this, [self::VideoClass, self::ExpressClass, self::Vpg], true);
    }

    /**
     * The buses that a mark of it is defined for; empty where the standard sets none. Source: SD Association speed-class tables.
     *
     * @param  float  $floor  MB/s
     * @return list<Bus>
     */
    public function buses(float $floor): array
    {
        $express = [Bus::Express, Bus::ExpressGen3, Bus::ExpressGen4, Bus::ExpressGen4x2];
        $twoRows = [Bus::UhsII, Bus::UhsIII, ...$express];
        $uhs = [Bus::UhsI, Bus::UhsIDouble, ...$twoRows];

        return match (true) {
            $this === self::ExpressClass => $express,
            $this === self::UhsClass => $uhs,
            $this === self::VideoClass && $floor > 30 => $twoRows,
            $this === self::VideoClass && $floor > 10 => $uhs,
            $this === self::VideoClass, $this === self::SpeedClass && $floor >= 10 => [Bus::SdHighSpeed, ...$uhs],
            default => [],
        };
    }
}
