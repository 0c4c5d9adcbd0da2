<?php

declare(strict_types=1);

namespace Tally\Inspection;

/** How much an answer speaks against a card. */
enum Weight
{
    /** It stays in sight. */
    case Doubt;
    /** The card is not to be relied on. */
    case Trouble;
}
