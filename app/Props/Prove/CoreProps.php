<?php

declare(strict_types=1);

namespace App\Props\Prove;

use Tally\Reading\Condition;

/** The core sample of a proof. Sizes in bytes. */
final readonly class CoreProps
{
    /**
     * @param  list<PatchProps>  $patches
     * @param  list<ClassProps>  $classes
     * @param  int  $grain  patches shorter than this may be joined with worse neighbours; 0 when all is as it is
     * @param  string  $summary  the picture in words
     * @param  string  $caption  how it was got
     */
    public function __construct(
        public int $size,
        public int $label,
        public int $capacity,
        public ?int $wrap,
        public Condition $condition,
        public array $patches,
        public array $classes,
        public int $grain,
        public string $summary,
        public string $caption,
        public ?TraceProps $trace,
    ) {}
}
