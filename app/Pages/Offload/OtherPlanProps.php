<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** The figures of a plan of another kind, and how it is asked for. Times are seconds. */
final readonly class OtherPlanProps
{
    /**
     * @param  string  $words  how it differs
     * @param  string  $goal  safe, free or hands
     * @param  string  $scheme  any, straight, fan-out or relay
     */
    public function __construct(
        public string $words,
        public string $goal,
        public string $scheme,
        public float $done,
        public float $free,
        public int $hands,
        public bool $isShown,
    ) {}
}
