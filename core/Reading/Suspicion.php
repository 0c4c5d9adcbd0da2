<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Chain\Path;
use Tally\Quantity\Rate;

/** Why a speed may not be the card's: the host's cache answered, or a unit slipped. A suspected number never enters a verdict. */
enum Suspicion: string
{
    case FasterThanChain = 'faster-than-chain';
    case NotForgotten = 'not-forgotten';
    case Uneven = 'uneven';
    case Disagrees = 'disagrees';

    /** Runs of the same test that differ more than this on a quiet card are not of one thing: common practice, no source. */
    private const UNEVEN = 1.5;

    /**
     * @param  bool  $forgot  whether the host was made to forget before reading (true for writing, which ends with a flush)
     * @param  bool  $disagrees  whether size, time and speed were all typed and do not go together
     * @return list<self>
     */
    public static function of(Summary $summary, Path $path, bool $forgot, bool $disagrees = false): array
    {
        return array_values(array_filter([
            $path->nominal()->isBelow(Rate::bytesPerSecond($summary->most)) ? self::FasterThanChain : null,
            $forgot ? null : self::NotForgotten,
            $summary->least > 0 && $summary->most / $summary->least > self::UNEVEN ? self::Uneven : null,
            $disagrees ? self::Disagrees : null,
        ]));
    }

    public function sentence(): string
    {
        return match ($this) {
            self::FasterThanChain => 'faster than its slowest link can carry: the host’s cache answered',
            self::NotForgotten => 'the host could not be made to forget the data first',
            self::Disagrees => 'size, time and speed as typed do not go together',
            self::Uneven => 'runs of the same test differ more than 1.5 times',
        };
    }
}
