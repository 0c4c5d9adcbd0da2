<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Record\LongWrite;
use Tally\Value\Row;
use Tally\Value\WrongField;

/** A piece of steady speed in the course of a long write. */
#[Row]
final readonly class Piece
{
    /** @throws WrongField */
    public function __construct(public Bytes $bytes, public Rate $rate)
    {
        if ($bytes->isZero()) {
            throw new WrongField('0', 'a piece of a course has some length, such as 50 GB.');
        }
    }

    /** @param  non-empty-list<self>  $pieces  in order */
    public static function course(array $pieces): LongWrite
    {
        return LongWrite::pieces(array_map(fn (self $one): array => [(float) $one->bytes->count, $one->rate], $pieces));
    }

    /**
     * @param  list<self>  $pieces
     *
     * @throws WrongField where they are more than anybody counts
     */
    public static function length(array $pieces): Bytes
    {
        $bytes = 0;
        foreach ($pieces as $one) {
            if ($one->bytes->count > PHP_INT_MAX - $bytes) {
                throw new WrongField('course', 'its pieces are more than this program counts (9.2 EB).');
            }
            $bytes += $one->bytes->count;
        }

        return Bytes::of($bytes);
    }

    /** @param  list<self>  $pieces */
    public static function mean(array $pieces): ?Rate
    {
        $seconds = array_sum(array_map(fn (self $one): float => $one->rate->timeFor($one->bytes)->seconds, $pieces));

        return $seconds > 0 ? Rate::bytesPerSecond(self::length($pieces)->count / $seconds) : null;
    }
}
