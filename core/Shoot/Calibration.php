<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Slip;
use Tally\Quantity\Span;

/**
 * How fast a mode really fills a card: from what the camera says is left, or from the size and length of a clip. It is more than
 * the rate on paper, since sound, padding and the file system come on top. Common practice, no source: handbook § 7.
 */
final readonly class Calibration
{
    /** A mode fills by so much more or less than on paper, and no unit was taken for another. From memory. */
    private const USUAL = 1.3;

    private function __construct(public Bytes $size, public Span $length, public bool $isClip, public Rate $rate) {}

    /** The camera says that so much fits on a card of this size. */
    public static function says(Bytes $size, Span $length): self
    {
        return new self($size, $length, false, Rate::ofTransfer($size, $length));
    }

    /** A clip of this length became so large. */
    public static function clip(Bytes $size, Span $length): self
    {
        return new self($size, $length, true, Rate::ofTransfer($size, $length));
    }

    /** Of a rate on paper that cannot be this one: what seems to have been taken for what. */
    public function slipOf(Rate $nominal): ?Slip
    {
        $ratio = $nominal->over($this->rate);
        foreach ([Slip::MegabitsAsMegabytes, Slip::MegabytesAsMegabits] as $slip) {
            $off = $ratio / $slip->ratio();
            if ($off <= self::USUAL && $off >= 1 / self::USUAL) {
                return $slip;
            }
        }

        return abs($ratio - 1) <= 0.01 ? null : Slip::of($ratio);
    }

    /** Whether it goes with a rate on paper, as cameras go. */
    public function goesWith(Rate $nominal): bool
    {
        $ratio = $nominal->over($this->rate);

        return $ratio <= self::USUAL && $ratio >= 1 / self::USUAL;
    }

    public function words(): string
    {
        return $this->isClip
            ? "a clip of {$this->length->print()} took {$this->size->decimal()}"
            : "the camera says {$this->length->print()} on {$this->size->decimal()}";
    }
}
