<?php

declare(strict_types=1);

namespace App\Kit;

/** A drive that was held against its lists, or is. */
final readonly class DriveCheckProps
{
    /**
     * @param  string  $state  in a word
     * @param  float  $share  of its bytes that were read, 0 to 1
     * @param  string  $message  what came of it
     * @param  list<string>  $lines  what was found
     */
    public function __construct(
        public int $id,
        public string $folder,
        public string $by,
        public string $on,
        public string $state,
        public bool $isOver,
        public float $share,
        public string $message,
        public array $lines,
    ) {}
}
