<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** What changes of an offload while it goes on. Times are seconds of its own from its beginning. */
final readonly class FollowNowProps
{
    /**
     * @param  string  $state  going, ending or ended
     * @param  float  $done  when all will be safe, or was
     * @param  string  $safeAt  the same, as a clock shows it: `22:58`
     * @param  list<HandProps>  $hands  the first one now
     * @param  string  $next  what hands wait for where there is nothing to do
     * @param  list<FollowLaneProps>  $lanes
     * @param  list<SwapProps>  $swaps
     * @param  list<HomeCardProps>  $cards
     * @param  list<string>  $reasons  what time was lost or won by
     * @param  list<WrongCopyProps>  $wrong  copies that are not as they should be
     * @param  list<string>  $notes  what was left out, or is less than was marked
     * @param  int  $secured  cards that may be cleared, or were
     */
    public function __construct(
        public string $state,
        public float $now,
        public float $done,
        public string $safeAt,
        public string $amount,
        public array $hands,
        public string $next,
        public array $lanes,
        public array $swaps,
        public array $cards,
        public array $reasons,
        public array $wrong,
        public array $notes,
        public int $secured,
        public string $clear,
        public bool $maySearchAnew,
    ) {}
}
