<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** An offload in a list. */
final readonly class OffloadProps
{
    /** @param  int  $secured  cards that may be cleared */
    public function __construct(
        public int $id,
        public string $name,
        public string $began,
        public int $cards,
        public int $secured,
        public bool $isOver,
    ) {}
}
