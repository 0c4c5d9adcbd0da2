<?php

declare(strict_types=1);

namespace Tally\Probe;

use Tally\Quantity\Passage;
use Tally\Reading\Course\SustainedFloor;

/** What one long write showed. What was written before it was stopped or the medium went away counts. */
final readonly class SustainedResult
{
    /**
     * @param  Passage  $write  all that was written and settled
     * @param  list<array{float, float}>  $trace  end offset, bytes a second
     * @param  string|null  $note  why it ended sooner, when the medium was full
     * @param  string|null  $cutShort  a sentence, when the medium went away in between
     * @param  SustainedFloor|null  $floor  the lowest window; null when too little was written
     * @param  list<array{float, float}>  $heat  bytes from the start, °C, where the medium tells its temperature
     */
    public function __construct(
        public Passage $write,
        public array $trace,
        public bool $stopped,
        public ?string $note = null,
        public ?string $cutShort = null,
        public ?SustainedFloor $floor = null,
        public array $heat = [],
    ) {}
}
