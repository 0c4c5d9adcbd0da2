<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** A card that comes home. */
final readonly class HomeCardProps
{
    /**
     * @param  list<DriveCopyProps>  $copies
     * @param  string  $clear  whether it may be cleared, or about when
     */
    public function __construct(
        public string $tag,
        public string $amount,
        public string $files,
        public string $folder,
        public array $copies,
        public string $clear,
        public bool $mayBeCleared,
        public bool $isCleared,
    ) {}
}
