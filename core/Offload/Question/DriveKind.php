<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

/** What a drive is, as far as a plan goes differently for it. */
enum DriveKind: string
{
    case Solid = 'solid';
    /** With a fast part that runs full. */
    case Cached = 'cached';
    case Spinning = 'spinning';
    case Network = 'network';

    public static function of(self $said, bool $hasCache): self
    {
        return $said === self::Solid && $hasCache ? self::Cached : $said;
    }

    public function words(): string
    {
        return match ($this) {
            self::Solid => 'no moving parts',
            self::Cached => 'no moving parts, fast until its cache is full',
            self::Spinning => 'spinning',
            self::Network => 'on the network',
        };
    }

    /** What is to be known of it where it is chosen; null for nothing. */
    public function caution(): ?string
    {
        return match ($this) {
            self::Solid, self::Cached => null,
            self::Spinning => 'spinning: two streams at once slow it down a lot',
            self::Network => 'on the network: whatever else goes over that slows it down',
        };
    }

    /** Of what it does for one flow, all flows together get so much. Common practice, no source: heads that jump lose time. */
    public function share(int $flows): float
    {
        return $this === self::Spinning && $flows > 1 ? 0.6 : 1.0;
    }
}
