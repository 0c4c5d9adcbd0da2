<?php

declare(strict_types=1);

namespace Tally\Ledger;

/** What happened to a card besides tests. */
enum IncidentKind: string
{
    case Stuck = 'stuck';
    case CameraError = 'camera-error';
    case Hot = 'hot';
    case Dropped = 'dropped';
    case Wet = 'wet';
    case LostClip = 'lost-clip';
    case Found = 'found';

    public function label(): string
    {
        return match ($this) {
            self::Stuck => 'stuck',
            self::CameraError => 'error in camera',
            self::Hot => 'hot',
            self::Dropped => 'dropped',
            self::Wet => 'wet',
            self::LostClip => 'lost clip',
            self::Found => 'found again',
        };
    }

    /** Words that name it in a line. */
    private function words(): string
    {
        return match ($this) {
            self::Stuck => 'stuck|jammed|jam',
            self::CameraError => '(?:card )?errors?|camera error',
            self::Hot => 'hot|too hot|overheat(?:ed|ing)?',
            self::Dropped => 'dropped|drop|fell',
            self::Wet => 'wet|water|soaked|flooded',
            self::LostClip => 'lost(?: a)? (?:clip|take|shot)s?|(?:clip|take|shot)s? lost|clips? missing',
            self::Found => 'found(?: again)?',
        };
    }

    /** The one that a line names; of several the first in it; null where it names none. */
    public static function inLine(string $line): ?self
    {
        $first = null;
        $at = PHP_INT_MAX;
        foreach (self::cases() as $kind) {
            if (preg_match("/\\b(?:{$kind->words()})\\b/iu", $line, $found, PREG_OFFSET_CAPTURE) === 1 && $found[0][1] < $at) {
                [$first, $at] = [$kind, $found[0][1]];
            }
        }

        return $first;
    }

    /** Whether the card is to be looked at again after it: what is on it, or the card itself, may have come to harm. */
    public function asksForTest(): bool
    {
        return $this !== self::Found && $this !== self::Hot;
    }

    /** Whether it may as well be the doing of the reader or body that is named with it. */
    public function maybeTheReaders(): bool
    {
        return in_array($this, [self::Stuck, self::CameraError, self::Hot, self::LostClip], true);
    }
}
