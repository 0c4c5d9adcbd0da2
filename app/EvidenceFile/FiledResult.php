<?php

declare(strict_types=1);

namespace App\EvidenceFile;

/** A result file, as far as it is read back. */
final readonly class FiledResult
{
    /**
     * @param  list<FiledLook>  $inspection
     * @param  list<FiledRun>  $runs
     * @param  FiledSignature|null  $signature  null when nobody signed it
     */
    public function __construct(
        public FiledCard $card,
        public FiledVerdict $verdict,
        public string $hash,
        public string $madeAt = '',
        public array $inspection = [],
        public array $runs = [],
        public ?FiledSignature $signature = null,
    ) {}
}
