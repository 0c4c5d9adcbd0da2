<?php

declare(strict_types=1);

namespace Tally\Reading;

/**
 * Why a speed may not be the card's: the host's cache answered, or a unit slipped. Such a number is struck out and never
 * enters a verdict; of uneven runs only what all of them say does. Handbook §§ 4 and 6 rule 10.
 */
enum Suspicion: string
{
    case FasterThanPaper = 'faster-than-paper';
    case Slipped = 'slipped';
    case NotForgotten = 'not-forgotten';
    case Disagrees = 'disagrees';
    case Uneven = 'uneven';

    public function sentence(): string
    {
        return match ($this) {
            self::FasterThanPaper => 'faster than card or chain can carry on paper: the host’s cache answered, or a unit slipped',
            self::Slipped => 'just what a slipped unit makes of the label’s own figure',
            self::NotForgotten => 'the host’s cache could not be cleared first',
            self::Disagrees => 'size, time and speed as typed do not go together',
            self::Uneven => 'runs of the same test differ more than 1.5 times',
        };
    }
}
