<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** The rules that a plan was made by, as they are in its form. */
final readonly class PlanRulesProps
{
    /**
     * @param  string  $scheme  any, straight, fan-out or relay
     * @param  string  $swap  seconds
     * @param  string  $previews  1 where imports build them, else 0
     */
    public function __construct(
        public string $goal,
        public string $copies,
        public string $verify,
        public string $scheme,
        public string $hands,
        public string $swap,
        public string $previews,
    ) {}
}
