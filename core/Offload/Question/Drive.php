<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

use Tally\Value\Alterable;

/** A drive that copies go to. */
final readonly class Drive
{
    use Alterable {
        with as public;
    }

    /**
     * @param  float  $write  bytes a second, steady
     * @param  float  $read  bytes a second
     * @param  float  $free  bytes; INF for endless
     * @param  float  $cache  bytes that it takes fast before it falls to its steady speed
     * @param  float  $fast  bytes a second while they last
     * @param  string|null  $inside  the host that it is built into; null where it goes into a port
     * @param  float  $link  bytes a second each way of its own link; INF for none
     */
    public function __construct(
        public string $name,
        public float $write,
        public float $read,
        public float $free = INF,
        public float $cache = 0.0,
        public float $fast = 0.0,
        public DriveKind $kind = DriveKind::Solid,
        public ?string $inside = null,
        public float $link = INF,
    ) {}
}
