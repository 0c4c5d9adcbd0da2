<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Models\Runs\RunState;
use Tally\Record\RunKind;

/** A row of the table of runs. Speeds in MB/s. */
final readonly class RunProps
{
    /**
     * @param  string  $name  of its kind, as it is said
     * @param  bool  $struck  not trusted, and out of every verdict
     */
    public function __construct(
        public int $id,
        public RunKind $kind,
        public string $name,
        public RunState $state,
        public string $chain,
        public string $region,
        public ?float $write,
        public ?float $read,
        public ?float $variation,
        public string $note,
        public bool $struck,
    ) {}
}
