<?php

declare(strict_types=1);

namespace App\Pages\Practice;

/** A round that was called. */
final readonly class PracticeRoundProps
{
    /** @param  string  $wrong  what was got wrong; empty where nothing was */
    public function __construct(
        public int $id,
        public int $level,
        public int $seed,
        public string $was,
        public string $wrong,
        public string $on,
    ) {}
}
