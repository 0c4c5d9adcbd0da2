<?php

declare(strict_types=1);

namespace Tally\Device;

/** What the processors of a host had to do while something was measured there. */
final readonly class Load
{
    /** From this share on of all of them, whoever has work waits for its turn. */
    private const ALL_BUT_FULL = 0.9;

    /** What takes fewer processors than this is what every host does. */
    private const EVER = 0.5;

    /**
     * @param  float  $all  share of all processors that worked, 0 to 1
     * @param  float  $others  share of all processors that worked for other programs, 0 to 1
     * @param  int  $processors  how many there are
     */
    public function __construct(public float $all, public float $others, public int $processors) {}

    /** Whether other programs took what the measuring needed: not a whole processor was left, or all of them worked. */
    public function heldBack(): bool
    {
        $taken = $this->others * $this->processors;

        return $taken > self::EVER && ($taken > $this->processors - 1 || $this->all > self::ALL_BUT_FULL);
    }

    public function words(): string
    {
        $percent = fn (float $share): string => number_format(100 * $share).' %';

        return ($this->processors === 1 ? 'its processor was' : "its {$this->processors} processors were").
            " {$percent($this->all)} busy, {$percent($this->others)} with other programs";
    }
}
