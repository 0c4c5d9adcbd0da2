<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** Speed along the bytes of one long write, with what it shows. Bytes from the start, MB/s. */
final readonly class CourseProps
{
    /**
     * @param  list<array{float, float}>  $points  end offset, MB/s
     * @param  float|null  $floor  the lowest mean over a window; null when too little was written to tell
     * @param  list<array{float, float, float}>  $plateaus  from, to, MB/s
     * @param  list<float>  $cliffs
     * @param  list<array{string, float}>  $classes  the other classes of such a card, with their floors in MB/s
     * @param  float|null  $markFloor  what the highest mark of the label promises
     * @param  string  $summary  the same in words
     * @param  list<array{float, float}>  $heat  bytes from the start, °C, as the medium told
     * @param  list<array{float, float}>  $noted  the same as somebody read it off
     */
    public function __construct(
        public float $size,
        public array $points,
        public ?float $floor,
        public float $floorFrom,
        public float $floorTo,
        public array $plateaus,
        public array $cliffs,
        public array $classes,
        public ?float $markFloor,
        public ?string $mark,
        public string $caption,
        public string $summary,
        public array $heat,
        public array $noted,
    ) {}
}
