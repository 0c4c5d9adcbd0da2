<?php

declare(strict_types=1);

namespace Tally\Practice;

use Tally\Quantity\Bytes;
use Tally\Simulated\Behaviour;
use Tally\Simulated\Medium;

/** What can be done next with a card on the bench. */
enum MoveKind: string
{
    case Inspect = 'inspect';
    case Measure = 'measure';
    case LongWrite = 'long';
    case Screen = 'screen';
    case Part = 'part';
    case Whole = 'whole';
    case ScreenAgain = 'screen-again';
    case WholeAgain = 'whole-again';

    public function words(): string
    {
        return match ($this) {
            self::Inspect => 'Look at its contacts and how it seats',
            self::Measure => 'Measure, five readings',
            self::LongWrite => 'Long write',
            self::Screen => 'Quick screen, 64 places',
            self::Part => 'Prove the first 8 GB',
            self::Whole => 'Prove all of it',
            self::ScreenAgain => 'Take it out, insert it again, quick screen',
            self::WholeAgain => 'Put it into another reader, prove all of it',
        };
    }

    /** How much of a medium it writes: where it answers with errors, up to there. */
    public function bytes(Medium $medium): Bytes
    {
        return match ($this) {
            self::LongWrite => Bytes::gigabytes(Conduct::LONG),
            self::Part => Bytes::gigabytes(Conduct::PART),
            self::Whole, self::WholeAgain => $medium->behaviour === Behaviour::Refuses ? $medium->true : $medium->shown,
            default => Bytes::of(0),
        };
    }

    public function isScreen(): bool
    {
        return $this === self::Screen || $this === self::ScreenAgain;
    }

    /** Whether the card was out before. */
    public function isAgain(): bool
    {
        return $this === self::ScreenAgain || $this === self::WholeAgain;
    }
}
