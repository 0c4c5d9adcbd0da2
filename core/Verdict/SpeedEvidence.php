<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Reading\SpeedReading;

/** A speed run, under the name by which it can be found again. */
final readonly class SpeedEvidence
{
    /** @param  string  $how  `typed in` where this program did not measure itself */
    public function __construct(public string $run, public SpeedReading $reading, public string $how = '') {}

    public function source(): string
    {
        return implode(', ', array_filter([$this->run, $this->how, $this->reading->covers(), $this->reading->path->describe()], fn (string $part): bool => $part !== ''));
    }
}
