<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Chain\Path;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** One long write, under the name by which it can be found again. */
final readonly class SustainedEvidence
{
    /**
     * @param  Rate  $floor  the lowest mean over a window
     * @param  float  $window  seconds
     * @param  Bytes  $written  from the start
     */
    public function __construct(
        public string $run,
        public Rate $floor,
        public float $window,
        public Bytes $written,
        public Path $path,
    ) {}

    public function source(): string
    {
        return "{$this->run}, lowest {$this->window} s of {$this->written->decimal()} written, {$this->path->describe()}; a proxy for the class, not its compliance test";
    }
}
