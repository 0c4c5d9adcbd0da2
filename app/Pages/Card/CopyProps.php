<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A timed copy. */
final readonly class CopyProps
{
    /**
     * @param  list<LapProps>  $laps
     * @param  string  $bound  what held it back, as far as can be told
     * @param  list<string>  $notes
     * @param  bool  $struck  voided, or faster than its chain can carry
     */
    public function __construct(
        public int $id,
        public string $title,
        public string $what,
        public array $laps,
        public string $bound,
        public array $notes,
        public bool $struck,
    ) {}
}
