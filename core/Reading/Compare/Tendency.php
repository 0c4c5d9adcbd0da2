<?php

declare(strict_types=1);

namespace Tally\Reading\Compare;

/** How the second of a pair stands to the first. */
enum Tendency: string
{
    case Faster = 'faster';
    case Slower = 'slower';
    case Noise = 'inside the noise';
    /** One of the two is a single look. */
    case Open = 'a single look';

    public static function of(?Comparison $comparison): self
    {
        return match (true) {
            $comparison === null => self::Open,
            $comparison->isInsideNoise() => self::Noise,
            $comparison->difference > 0 => self::Faster,
            default => self::Slower,
        };
    }
}
