<?php

declare(strict_types=1);

namespace App\Pages\Compare;

/** One of the two that are held against each other. Speeds in MB/s. */
final readonly class SideProps
{
    /**
     * @param  list<float>  $rates  every single one
     * @param  float|null  $margin  half the 95 % confidence interval of the mean
     */
    public function __construct(
        public string $name,
        public array $rates,
        public float $mean,
        public ?float $margin,
        public float $lower,
        public float $median,
        public float $upper,
    ) {}
}
