<?php

declare(strict_types=1);

namespace App\Kit;

/** Something that a drive got wrong. */
final readonly class DriveFindingProps
{
    /**
     * @param  string  $what  such as “gave back other bytes, twice the same”
     * @param  bool  $isMadeUp  whether it was a made-up drive, to practise with
     */
    public function __construct(
        public int $id,
        public string $card,
        public string $file,
        public string $what,
        public int $offload,
        public string $shoot,
        public bool $isMadeUp,
        public string $by,
        public string $on,
    ) {}
}
