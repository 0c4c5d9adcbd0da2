<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A mode, and whether a card may record it. */
final readonly class FitModeProps
{
    /**
     * @param  string  $writes  such as `240 Mb/s, long-GOP`
     * @param  float  $rate  MB/s that it really fills a card with
     * @param  float  $need  MB/s that the lowest window of a card must be, with the house’s margin
     * @param  string  $lasts  minutes or shots on this card, such as `63 min`
     * @param  bool  $isCalibrated  whether the rate comes from readings; else it is on paper
     * @param  string  $words  the word that says no, or what is said beside a yes
     * @param  string|null  $least  the least mark that opens it
     * @param  list<SchoolWordProps>  $schools
     */
    public function __construct(
        public int $id,
        public string $camera,
        public string $name,
        public string $writes,
        public float $rate,
        public float $need,
        public string $lasts,
        public bool $isCalibrated,
        public bool $may,
        public string $words,
        public ?string $least,
        public array $schools,
    ) {}
}
