<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Models\Stations\SlotKind;

/** A slot of a station, and what it saw in it. */
final readonly class BenchSlotProps
{
    /**
     * @param  string  $seen  what lies in it, or why it cannot be used, in words
     * @param  string|null  $run  the run that is going or waiting there
     */
    public function __construct(
        public int $id,
        public string $name,
        public SlotKind $kind,
        public string $path,
        public int $reader,
        public int $port,
        public string $seen,
        public bool $usable,
        public ?string $run,
    ) {}
}
