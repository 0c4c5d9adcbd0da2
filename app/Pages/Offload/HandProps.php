<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** Something for hands to do. */
final readonly class HandProps
{
    /**
     * @param  int  $card  of this offload
     * @param  string  $words  what to do
     * @param  string  $detail  what to know of it
     * @param  float  $waits  seconds that it has been waiting
     * @param  bool  $isSwap  whether another card comes out first
     * @param  string|null  $refused  why what lies there was not taken for it
     * @param  string|null  $said  what somebody may say of it all the same, with a name; null where nobody may
     * @param  list<string>  $choices  what may lie in a made-up slot; none where it is real
     */
    public function __construct(
        public int $card,
        public string $tag,
        public string $words,
        public string $detail,
        public float $waits,
        public array $choices,
        public bool $isSwap,
        public ?string $refused,
        public ?string $said,
    ) {}
}
