<?php

declare(strict_types=1);

namespace Tally\Offload;

use InvalidArgumentException;

/** When a thing that saves time has paid. Source of the rule: minutes saved × offloads × hourly value against the price. */
final readonly class WorthIt
{
    /**
     * @param  float  $saves  seconds of an offload
     * @param  float  $offloads  a month
     * @param  float  $hour  what an hour is worth, in any currency
     * @param  float  $price  in the same
     */
    public function __construct(public float $saves, public float $offloads, public float $hour, public float $price)
    {
        if (min($offloads, $hour, $price) < 0) {
            throw new InvalidArgumentException('Offloads a month, the value of an hour and a price are not below nothing.');
        }
    }

    /** Minutes that it saves a month. */
    public function minutes(): float
    {
        return max(0.0, $this->saves) * $this->offloads / 60;
    }

    /** What these minutes are worth. */
    public function money(): float
    {
        return $this->minutes() / 60 * $this->hour;
    }

    /** @return float|null months until it has paid; null when it never does */
    public function months(): ?float
    {
        return $this->money() > 0 ? $this->price / $this->money() : null;
    }
}
