<?php

declare(strict_types=1);

namespace Tally\Reading\Copy;

/** What held a timed copy back. */
enum CopyLimit: string
{
    case Card = 'card';
    case NotTheCard = 'not-the-card';
    case Previews = 'previews';
    /** Faster than its slowest link can carry: it did not come over that chain, or the host's memory answered. */
    case TooFast = 'too-fast';
    case Open = 'open';

    public function words(): string
    {
        return match ($this) {
            self::Card => 'the card, or a link about as fast, was the limit',
            self::NotTheCard => 'the card was not the limit: a faster one saves nothing here',
            self::Previews => 'bound by the previews: a faster card saves nothing here',
            self::TooFast => 'not trusted: faster than its slowest link can carry, so the host’s memory answered or the chain was another',
            self::Open => 'what the limit was cannot be told from this alone',
        };
    }
}
