<?php

declare(strict_types=1);

namespace App\EvidenceFile;

/** What became of a result file that was read in. */
final readonly class Taken
{
    /**
     * @param  int  $runs  how many came into the books
     * @param  string|null  $signer  the known station that signed it; null when it was kept apart
     */
    public function __construct(public int $runs, public ?string $signer) {}

    public function isApart(): bool
    {
        return $this->signer === null;
    }
}
