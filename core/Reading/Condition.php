<?php

declare(strict_types=1);

namespace Tally\Reading;

/** What a proof says of a medium as a whole. */
enum Condition: string
{
    /** Everything that was covered holds. */
    case Whole = 'whole';
    /** It starts over at the beginning after its true size. */
    case Wraps = 'wraps';
    /** It keeps the first part and nothing after. */
    case Drops = 'drops';
    /** It keeps the first part and spoils what comes after. */
    case Corrupts = 'corrupts';
    /** Several addresses share one place of its memory, in no single lap. */
    case Aliases = 'aliases';
    /** From one address on it answers with errors: at its end, or ill. One look cannot tell. */
    case Refuses = 'refuses';

    /** Parts of it are bad, here and there. */
    case Faulty = 'faulty';
    /** Nothing was read back. */
    case Unknown = 'unknown';

    public function nature(): Nature
    {
        return match ($this) {
            self::Whole => Nature::Whole,
            self::Wraps, self::Drops, self::Corrupts, self::Aliases => Nature::Fake,
            self::Faulty, self::Refuses => Nature::Faulty,
            self::Unknown => Nature::Open,
        };
    }

    /** Why it is told to be that, in a sentence. */
    public function because(): string
    {
        return match ($this) {
            self::Whole => 'Everything that was looked at came back as written.',
            self::Wraps => 'A fake, not a fault: a faulty medium does not give back data from exactly one distance further on.',
            self::Drops => 'A fake, not a fault: everything up to one address holds, and next to nothing behind it does.',
            self::Corrupts => 'A fake, not a fault: everything up to one address holds, and behind it next to nothing comes back as '.
                'it was written.',
            self::Aliases => 'A false size, not bad spots: in many places it gives back data of other addresses, so that several '.
                'addresses share one place. How they do follows no single lap.',
            self::Refuses => 'From one address on it answers with errors, as a medium does at its end, and one that hangs or turned '.
                'read-only does anywhere. Errors convict nobody: power it down, put it in again, prove it again.',
            self::Faulty => 'Faulty, not a fake: bad places lie among good ones, and there is no address from which on nothing holds.',
            self::Unknown => 'Nothing was read back.',
        };
    }

    /** What is said of the part up to its capacity; null where its parts are not told apart by one address. */
    public function upTo(): ?string
    {
        return match ($this) {
            self::Whole => 'everything holds',
            self::Drops, self::Corrupts, self::Refuses => 'holds',
            default => null,
        };
    }

    /** What is said of the part behind it. */
    public function behind(): ?string
    {
        return match ($this) {
            self::Drops => 'nothing kept',
            self::Corrupts => 'spoilt',
            self::Refuses => 'errors',
            default => null,
        };
    }
}
