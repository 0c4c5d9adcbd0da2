<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** One way of a speed run, whole. Speeds in MB/s. */
final readonly class WayProps
{
    /**
     * @param  list<float>  $rates  in the order they were measured
     * @param  list<int>  $apart  which of them lie apart, from 0
     * @param  float|null  $margin  half the 95 % confidence interval of the mean
     * @param  float|null  $variation  coefficient of variation
     * @param  list<string>  $notes
     * @param  string|null  $suspicion  why it is not trusted
     */
    public function __construct(
        public string $way,
        public array $rates,
        public array $apart,
        public float $mean,
        public float $median,
        public ?float $deviation,
        public ?float $margin,
        public ?float $variation,
        public array $notes,
        public ?string $suspicion,
    ) {}
}
