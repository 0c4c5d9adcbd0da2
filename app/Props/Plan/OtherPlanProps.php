<?php

declare(strict_types=1);

namespace App\Props\Plan;

/** The figures of a plan for one goal. Times are seconds. */
final readonly class OtherPlanProps
{
    /** @param  string  $scheme  how cards are copied, or “mixed” */
    public function __construct(
        public string $goal,
        public string $words,
        public float $done,
        public float $free,
        public int $hands,
        public string $scheme,
        public bool $isShown,
    ) {}
}
