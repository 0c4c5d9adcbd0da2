<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Reading\SpeedReading;

/** A speed run, under the name by which it can be found again. */
final readonly class SpeedEvidence
{
    public function __construct(public string $run, public SpeedReading $reading) {}

    public function source(): string
    {
        return "{$this->run}, first {$this->reading->region->decimal()}, {$this->reading->path->describe()}";
    }
}
