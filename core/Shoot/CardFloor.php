<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Evidence\LongWriteEvidence;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** The lowest that one long write fell to, and what came before it did. */
final readonly class CardFloor
{
    public function __construct(public LongWriteEvidence $write, public Rate $rate) {}

    /**
     * How long a take is safe from the start of a write: until the first part that is slower; zero where that is the first.
     *
     * @param  Rate  $need  what the card must keep up
     * @param  Rate  $rate  what is written: the camera goes no faster
     */
    public function safeFor(Rate $need, Rate $rate): Span
    {
        $bytes = 0.0;
        foreach ($this->write->course->plateaus as $plateau) {
            if ($plateau->rate->isBelow($need)) {
                break;
            }
            $bytes = $plateau->to;
        }
        // A short dip within a fast part is the lowest window all the same.
        if ($this->rate->isBelow($need)) {
            $bytes = min($bytes, $this->write->course->from);
        }

        return Span::seconds($bytes / $rate->bytesPerSecond);
    }
}
