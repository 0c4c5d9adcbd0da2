<?php

declare(strict_types=1);

namespace Tally\Practice;

/** What a wrong call gets wrong, and whom it would have hurt. */
enum Mistake: string
{
    case ClearedBad = 'cleared-bad';
    case ConvictedGood = 'convicted-good';
    case OtherFault = 'other-fault';
    case LeftOpen = 'left-open';
    case BlamedCard = 'blamed-card';
    case OtherLimit = 'other-limit';
    case WrongSize = 'wrong-size';

    public function words(): string
    {
        return match ($this) {
            self::ClearedBad => 'cleared a bad card',
            self::ConvictedGood => 'convicted a good one',
            self::OtherFault => 'named another fault',
            self::LeftOpen => 'left open what could be settled',
            self::BlamedCard => 'blamed the card for its chain',
            self::OtherLimit => 'named another limit',
            self::WrongSize => 'misjudged how much it keeps',
        };
    }
}
