<?php

declare(strict_types=1);

namespace App\Pages\House;

/** An answer as it is kept. */
final readonly class SeenProps
{
    /** @param  string|null  $withdrawn  why it counts no longer */
    public function __construct(
        public int $id,
        public string $card,
        public string $question,
        public string $answer,
        public ?string $reader,
        public string $by,
        public string $on,
        public bool $trouble,
        public ?string $withdrawn,
    ) {}
}
