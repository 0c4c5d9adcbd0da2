<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** A bar of the runbook: as planned, and as it went. Times are seconds from the beginning. */
final readonly class PassageProps
{
    /**
     * @param  string  $kind  copy, read back or relay
     * @param  string  $words  what it is, in a sentence without its times
     * @param  float|null  $began  null while it has not
     * @param  float|null  $until  as far as it has come
     */
    public function __construct(
        public string $kind,
        public string $tag,
        public string $words,
        public float $from,
        public float $to,
        public ?float $began,
        public ?float $until,
        public bool $isOver,
    ) {}
}
