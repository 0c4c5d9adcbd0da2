<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** Everything about one run. */
final readonly class RunSheetProps
{
    /**
     * @param  list<FactProps>  $facts
     * @param  list<WayProps>  $ways  of a speed run
     * @param  list<string>  $words  what came of it, where it is no speed run
     * @param  list<HeatProps>  $heat
     * @param  string  $heatLimits  from where on it is too hot to hold, and hurts
     * @param  list<VoidProps>  $voids
     */
    public function __construct(
        public int $id,
        public string $title,
        public string $tag,
        public bool $counts,
        public bool $going,
        public array $facts,
        public array $ways,
        public array $words,
        public ?CourseProps $course,
        public ?CopyProps $copy,
        public array $heat,
        public string $heatLimits,
        public array $voids,
        public ?VoidProps $void,
    ) {}
}
