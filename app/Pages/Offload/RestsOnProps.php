<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** A rate that a plan rests on. */
final readonly class RestsOnProps
{
    /**
     * @param  string  $rate  with its unit
     * @param  string  $origin  own measurement, practice, standard or claim
     * @param  string  $how  where it is from
     * @param  string  $range  between what it may lie, with its unit; empty where that is known of nothing
     * @param  string  $thing  the card, reader, host or drive that it is about
     */
    public function __construct(
        public string $name,
        public string $rate,
        public string $origin,
        public string $how,
        public string $range,
        public string $thing,
    ) {}
}
