<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Evidence\SpeedEvidence;
use Tally\Measured\Attribution;
use Tally\Quantity\Rate;

/** One speed that may enter a verdict. */
final readonly class Figure
{
    /**
     * @param  Rate  $rate  the median of its readings; of uneven ones the fastest
     * @param  Attribution  $blame  whose fault a shortfall would be
     * @param  string  $evidence  how it was got
     * @param  SpeedEvidence|null  $look  where it is no more than a look, which convicts nobody
     */
    public function __construct(
        public Rate $rate,
        public bool $isUneven,
        public Attribution $blame,
        public string $evidence,
        public ?SpeedEvidence $look = null,
    ) {}
}
