<?php

declare(strict_types=1);

namespace Tally\Practice;

use Tally\Simulated\Behaviour;

/** What is the matter with a made-up card, or with what it is measured on; or that nothing is. */
enum Trick: string
{
    case Fair = 'fair';
    case OneRow = 'one-row';
    case ShowsLess = 'shows-less';
    case Cheap = 'cheap';
    case OldSlot = 'old-slot';
    case SlowLink = 'slow-link';
    case SlowCard = 'slow-card';
    case Cliff = 'cliff';
    case HoldsOn = 'holds-on';
    case StartsOver = 'starts-over';
    case Drops = 'drops';
    case Spoils = 'spoils';
    case EndsInErrors = 'ends-in-errors';
    case SameEnd = 'same-end';
    case BadSpots = 'bad-spots';
    case ChangesItsMind = 'changes-its-mind';
    case CacheAnswers = 'cache-answers';
    case OldBench = 'old-bench';

    /** What there was to see, told afterwards. */
    public function words(): string
    {
        return match ($this) {
            self::Fair => 'a fair card',
            self::OneRow => 'one row of contacts under a label that needs two',
            self::ShowsLess => 'a medium that shows less than its label',
            self::Cheap => 'a fair card at a suspicious price, with a number that another card has too',
            self::OldSlot => 'a fair card in a slot that knows one row of contacts',
            self::SlowLink => 'a fair card behind a slow link',
            self::SlowCard => 'a card that is slower than it says',
            self::Cliff => 'a fast beginning, and then less than its class',
            self::HoldsOn => 'a fast beginning, and then still its class',
            self::StartsOver => 'a fake that starts over',
            self::Drops => 'a fake that keeps the first part and drops the rest',
            self::Spoils => 'a fake that keeps the first part and spoils the rest',
            self::EndsInErrors => 'errors at another place each time',
            self::SameEnd => 'errors from the same place on, in each reader',
            self::BadSpots => 'a whole card with a bad spot',
            self::ChangesItsMind => 'a card that differs when it is measured again',
            self::OldBench => 'a card of which this bench cannot tell what it asks: nothing here speaks its bus',
            self::CacheAnswers => 'a fake whose cache answers until the card was out',
        };
    }

    /** What the medium does with what is written to it. */
    public function behaviour(): Behaviour
    {
        return match ($this) {
            self::StartsOver => Behaviour::Wraps,
            self::Drops, self::CacheAnswers => Behaviour::Drops,
            self::Spoils => Behaviour::Corrupts,
            self::EndsInErrors, self::SameEnd => Behaviour::Refuses,
            self::BadSpots => Behaviour::Patchy,
            default => Behaviour::Honest,
        };
    }
}
