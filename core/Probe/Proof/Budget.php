<?php

declare(strict_types=1);

namespace Tally\Probe\Proof;

/** Sees to it that what is done beside the real work takes a small share of the time: who spent a second waits for two hundred. */
final class Budget
{
    public const SHARE = 0.005;

    /** Sooner than so many seconds after the last time there is nothing new to be learnt. */
    private const LEAST = 0.5;

    private float $next;

    public function __construct(float $now)
    {
        $this->next = $now + self::LEAST;
    }

    public function allows(float $now): bool
    {
        return $now >= $this->next;
    }

    public function spend(float $began, float $now): void
    {
        $took = max(0.0, $now - $began);
        $this->next = $now + max(self::LEAST, $took / self::SHARE);
    }
}
