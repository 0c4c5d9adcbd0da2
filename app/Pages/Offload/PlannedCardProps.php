<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** A card in a plan. Times are seconds from its start. */
final readonly class PlannedCardProps
{
    /**
     * @param  string  $slot  “reader slot”
     * @param  list<string>  $drives  for each copy
     * @param  string  $how  straight, fan-out or relay
     * @param  float|null  $clear  when it may be cleared; null for never
     */
    public function __construct(
        public string $tag,
        public string $label,
        public string $amount,
        public string $slot,
        public array $drives,
        public string $how,
        public float $in,
        public float $free,
        public ?float $clear,
    ) {}
}
