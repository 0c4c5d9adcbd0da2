<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A run that goes on or waits. */
final readonly class RunningProps
{
    /**
     * @param  string  $kind  “speed run” or “full proof”
     * @param  int  $runs  of how many
     * @param  string|null  $away  the bench it waits for, while that is away
     */
    public function __construct(
        public int $id,
        public string $kind,
        public bool $waiting,
        public bool $stopping,
        public int $runs,
        public ?ProgressProps $progress,
        public ?string $away,
    ) {}
}
