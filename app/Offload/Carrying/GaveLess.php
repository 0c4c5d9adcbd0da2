<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

/** A link that gave less than the plan reckoned with. */
final readonly class GaveLess
{
    /**
     * @param  string  $thing  reader or drive
     * @param  string  $key  of its rate
     * @param  float  $times  so many times the ceiling that the plan has for it
     * @param  float  $gave  bytes a second
     * @param  float  $reckoned  bytes a second
     */
    public function __construct(
        public string $thing,
        public string $key,
        public float $times,
        public float $gave,
        public float $reckoned,
    ) {}
}
