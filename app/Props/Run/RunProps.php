<?php

declare(strict_types=1);

namespace App\Props\Run;

/** A row of the table of runs. Speeds in MB/s. */
final readonly class RunProps
{
    /** @param  bool  $struck  not trusted, and out of every verdict */
    public function __construct(
        public int $id,
        public string $kind,
        public string $state,
        public string $chain,
        public string $region,
        public ?float $write,
        public ?float $read,
        public ?float $variation,
        public string $note,
        public bool $struck,
    ) {}
}
