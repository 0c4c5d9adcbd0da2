<?php

declare(strict_types=1);

namespace Tally\Label;

use Tally\Quantity\Bytes;

/**
 * The capacity family printed on an SD or microSD card.
 *
 * Source: SD Association, capacity standards: SD to 2 GB, SDHC over 2 to 32 GB, SDXC over 32 GB to 2 TB, SDUC over 2 to 128 TB.
 */
enum Family: string
{
    case Sd = 'SD';
    case Sdhc = 'SDHC';
    case Sdxc = 'SDXC';
    case Sduc = 'SDUC';

    public function most(): Bytes
    {
        return Bytes::gigabytes(
            match ($this) {
                self::Sd => 2,
                self::Sdhc => 32,
                self::Sdxc => 2_000,
                self::Sduc => 128_000,
            },
        );
    }

    /** Capacity must be above this. */
    public function above(): Bytes
    {
        return match ($this) {
            self::Sd => Bytes::of(0),
            self::Sdhc => self::Sd->most(),
            self::Sdxc => self::Sdhc->most(),
            self::Sduc => self::Sdxc->most(),
        };
    }

    public function holds(Bytes $capacity): bool
    {
        return $capacity->count > $this->above()->count && $capacity->count <= $this->most()->count;
    }
}
