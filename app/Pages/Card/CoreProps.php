<?php

declare(strict_types=1);

namespace App\Pages\Card;

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
     * @param  int|null  $points  of a quick screen: how many places were drawn
     * @param  list<string>  $means  fake or faulty, why, and what else is wrong with it
     * @param  list<string>  $leaves  what it leaves open
     * @param  int|null  $alarmAt  bytes written when a look back ended it
     * @param  string  $peg  what is said at the capacity
     * @param  bool  $isLoose  whether the capacity is at no one address
     * @param  string|null  $upTo  what is said of the part up to the capacity
     * @param  string|null  $behind  and of the part behind it
     * @param  string|null  $really  what the true capacity of a fake is; null of any other
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
        public ?int $wrapFrom,
        public bool $exact,
        public ?int $points,
        public array $means,
        public string $proves,
        public array $leaves,
        public ?int $alarmAt,
        public string $peg,
        public bool $isLoose,
        public ?string $upTo,
        public ?string $behind,
        public ?string $really,
    ) {}
}
