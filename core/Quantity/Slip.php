<?php

declare(strict_types=1);

namespace Tally\Quantity;

/**
 * A unit taken for another, told by the ratio between a speed that was typed and the one that size and time come to.
 *
 * Source: IEC 80000-13 for the units; that these are the slips people make is common practice, no source.
 */
enum Slip: string
{
    case MegabitsAsMegabytes = 'megabits-as-megabytes';
    case MegabytesAsMegabits = 'megabytes-as-megabits';
    case GibAsGb = 'gib-as-gb';
    case GbAsGib = 'gb-as-gib';
    case MibAsMb = 'mib-as-mb';
    case MbAsMib = 'mb-as-mib';

    /** How near the ratio has to be: common practice, no source. */
    public const WITHIN = 0.01 + 1e-9;

    /** @param  float  $ratio  typed ÷ computed */
    public static function of(float $ratio): ?self
    {
        foreach (self::cases() as $slip) {
            if (abs($ratio / $slip->ratio() - 1) <= self::WITHIN) {
                return $slip;
            }
        }

        return null;
    }

    /** @return float typed ÷ computed, where this was the slip */
    public function ratio(): float
    {
        return match ($this) {
            self::MegabitsAsMegabytes => 8.0,
            self::MegabytesAsMegabits => 1 / 8,
            self::GibAsGb => 1.073741824,
            self::GbAsGib => 1 / 1.073741824,
            self::MibAsMb => 1.048576,
            self::MbAsMib => 1 / 1.048576,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::MegabitsAsMegabytes => 'looks like megabits read as megabytes: it is 8 times what size and time come to',
            self::MegabytesAsMegabits => 'looks like megabytes read as megabits: it is an eighth of what size and time come to',
            self::GibAsGb => 'looks like GiB read as GB: the size is 1.0737 times what was given',
            self::GbAsGib => 'looks like GB read as GiB: the size is 1.0737 times less than was given',
            self::MibAsMb => 'looks like MiB read as MB: the size is 1.0486 times what was given',
            self::MbAsMib => 'looks like MiB/s read as MB/s, or MB read as MiB: it is 1.0486 times less than size and time come to',
        };
    }

    /** `8 times`, for setting before the figure that it was made of. */
    public function timesWords(): string
    {
        return match ($this) {
            self::MegabytesAsMegabits => 'an eighth of',
            default => rtrim(rtrim(number_format($this->ratio(), 4, '.', ''), '0'), '.').' times',
        };
    }

    /** Which unit seems to have been taken for which. */
    public function taken(): string
    {
        return match ($this) {
            self::MegabitsAsMegabytes => 'megabits read as megabytes',
            self::MegabytesAsMegabits => 'megabytes read as megabits',
            self::GibAsGb => 'GiB read as GB',
            self::GbAsGib => 'GB read as GiB',
            self::MibAsMb => 'MiB read as MB',
            self::MbAsMib => 'MB read as MiB',
        };
    }

    /** The size that was meant, where the size is what slipped; else the one that was given. */
    public function meant(Bytes $given): Bytes
    {
        return match ($this) {
            self::GibAsGb, self::GbAsGib, self::MibAsMb => Bytes::of((int) round($given->count * $this->ratio())),
            default => $given,
        };
    }
}
