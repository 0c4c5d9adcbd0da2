<?php

declare(strict_types=1);

namespace Tally\Shoot;

use InvalidArgumentException;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;

/** Figures that no burst can have; the sentence says which, and what would do. */
final class NotABurst extends InvalidArgumentException
{
    public function __construct(int $frames, Bytes $frame, float $perSecond, Span $clear)
    {
        parent::__construct(
            match (true) {
                $frame->isZero() => 'A frame of no bytes fills no buffer. Give the size of one, such as 24.6 MB.',
                $frame->count > Burst::MOST => "A frame of {$frame->decimal()} is more than any camera writes. Give one, such as 24.6 MB.",
                $perSecond <= 0 => "{$perSecond} frames a second is no burst. Give how many it takes a second, such as 10.",
                $frames < 1 => "{$frames} frames is no burst. Count the frames until the camera slows, at least 1.",
                default => "It cleared in {$clear->print()}: then it never filled. Give the time from when it slowed, such as 23 s.",
            },
        );
    }
}
