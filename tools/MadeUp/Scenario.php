<?php

declare(strict_types=1);

namespace Tools\MadeUp;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Simulated\Behaviour;
use Tally\Simulated\Medium;

/**
 * A made-up card whose course of writing is known: whether its cache runs out, where, how fast it is before and after, how far
 * it fades.
 */
final readonly class Scenario
{
    private function __construct(public Medium $medium, public Rate $slow, public ?Bytes $cliff, public ?Rate $fast, public float $fade) {}

    /** The same seed always gives the same one: three in five have a cache, one in five fades, one in five is steady. */
    public static function seeded(int $seed): self
    {
        $chance = new Randomizer(new Xoshiro256StarStar($seed));
        $size = Bytes::gigabytes($chance->getInt(32, 1024));
        $slow = Rate::megabytesPerSecond($chance->getInt(20, 200));
        $kind = $seed % 5;
        $cliff = $kind < 3 ? Bytes::of(intdiv($size->count, 100) * $chance->getInt(5, 80)) : null;
        $fast = $cliff === null ? null : Rate::megabytesPerSecond(($slow->megabytes() * $chance->getInt(120, 600)) / 100);
        $fade = $kind === 3 ? $chance->getInt(15, 50) / 100 : 0.0;

        return new self(
            new Medium(
                Behaviour::Honest,
                $size,
                $size,
                $slow,
                read: Rate::megabytesPerSecond(250),
                cache: $cliff,
                fast: $fast,
                jitter: $chance->getInt(2, 15) / 1000,
                seed: $seed,
                fade: $fade,
            ),
            $slow,
            $cliff,
            $fast,
            fade: $fade,
        );
    }

    /** The speed that it is down to at the end. */
    public function last(): Rate
    {
        return Rate::bytesPerSecond($this->slow->bytesPerSecond * (1 - $this->fade));
    }
}
