<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Pages\Card\SchoolWordProps;
use Tally\Verdict\VerdictKind;

/** A card, and whether it may record a mode. */
final readonly class FitCardProps
{
    /**
     * @param  float|null  $floor  MB/s, the lowest window of its long writes; null where none was measured
     * @param  float|null  $mark  MB/s that its marks promise
     * @param  string  $lasts  minutes or shots
     * @param  bool  $isProven  whether its capacity was
     * @param  list<SchoolWordProps>  $schools
     */
    public function __construct(
        public string $tag,
        public string $line,
        public VerdictKind $verdict,
        public ?float $floor,
        public ?float $mark,
        public string $lasts,
        public bool $isProven,
        public bool $may,
        public string $words,
        public array $schools,
    ) {}
}
