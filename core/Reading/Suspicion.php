<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Chain\Path;
use Tally\Quantity\Rate;

/** Why a speed may be the host's cache and not the card's. A suspected number never enters a verdict. */
enum Suspicion: string
{
    case FasterThanChain = 'faster-than-chain';
    case NotForgotten = 'not-forgotten';
    case Uneven = 'uneven';

    /** Runs of the same test that differ more than this on a quiet card are not of one thing: common practice, no source. */
    private const UNEVEN = 1.5;

    /**
     * @param  bool  $forgot  whether the host was made to forget before reading (true for writing, which ends with a flush)
     * @return list<self>
     */
    public static function of(Summary $summary, Path $path, bool $forgot): array
    {
        return array_values(array_filter([
            $path->nominal()->isBelow(Rate::bytesPerSecond($summary->most)) ? self::FasterThanChain : null,
            $forgot ? null : self::NotForgotten,
            $summary->least > 0 && $summary->most / $summary->least > self::UNEVEN ? self::Uneven : null,
        ]));
    }

    public function sentence(): string
    {
        return match ($this) {
            self::FasterThanChain => 'faster than its slowest link can carry: the host’s cache answered',
            self::NotForgotten => 'the host could not be made to forget the data first',
            self::Uneven => 'runs of the same test differ more than 1.5 times',
        };
    }
}
