<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Chain\Path;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\Diagnosis;

/** A proof, under the name by which it can be found again. */
final readonly class ProofEvidence
{
    /**
     * @param  Bytes  $covered  read back, whatever came
     * @param  Bytes  $bad  of it, what did not come back as written
     * @param  Rate|null  $write  mean speed of writing all of it
     * @param  Bytes|null  $shown  the size that the medium itself shows, where all of that was asked for
     * @param  int|null  $points  of a quick screen: how many places were drawn; null for a full proof
     */
    public function __construct(
        public string $run,
        public Diagnosis $diagnosis,
        public Bytes $covered,
        public Bytes $bad,
        public bool $forgot,
        public ?Rate $write,
        public Path $path,
        public ?Bytes $shown = null,
        public ?int $points = null,
    ) {}

    public function source(): string
    {
        return ($this->points === null ? 'full proof' : 'quick screen').", {$this->run}, {$this->covered->decimal()} written and read back";
    }
}
