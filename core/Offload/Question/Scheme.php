<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

/** How a card's copies come about. */
enum Scheme: string
{
    /** One after the other, each from the card. */
    case Straight = 'straight';
    /** All of them at once, from the card. */
    case FanOut = 'fan-out';
    /** The first from the card, the others from the first drive. */
    case Relay = 'relay';
}
