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
    /** It keeps nothing at all of what is written: dead, or locked. */
    case KeepsNothing = 'keeps-nothing';
    /** From one address on it gives back what an earlier run wrote there: its memory is there, and takes nothing any more. */
    case KeepsOld = 'keeps-old';
    /** Parts of it are bad, here and there. */
    case Faulty = 'faulty';
    /** Nothing was read back. */
    case Unknown = 'unknown';

    public function nature(): Nature
    {
        return match ($this) {
            self::Whole => Nature::Whole,
            self::Wraps, self::Drops, self::Corrupts, self::Aliases => Nature::Fake,
            self::Faulty, self::Refuses, self::KeepsNothing, self::KeepsOld => Nature::Faulty,
            self::Unknown => Nature::Open,
        };
    }

    /** Why it is told to be that, in a sentence. */
    public function because(): string
    {
        return match ($this) {
            self::Whole => 'Everything that was looked at came back as written.',
            self::Wraps => 'It gives back data from exactly one distance further on: no bad spot does that.',
            self::Drops => 'Everything up to one address holds, and next to nothing behind it was kept, without an error.',
            self::Corrupts => 'Everything up to one address holds, and behind it next to nothing comes back as it was written, without '.
                'an error.',
            self::Aliases => 'In many places it gives back data of other addresses, so that several addresses share one place. How they '.
                'do follows no single lap.',
            self::KeepsNothing => 'Nothing of what was written is kept: dead, or locked. Look at its lock tab, and try another reader.',
            self::KeepsOld => 'It gives back what an earlier run wrote there: its memory is there, and takes nothing any more.',
            self::Refuses => 'From one address on it answers with errors, as a medium does at its end, and one that hangs or turned '.
                'read-only does anywhere. Errors convict nobody: power it down, put it in again, prove it again.',
            self::Faulty => 'Bad places lie among good ones, and there is no address from which on nothing holds.',
            self::Unknown => 'Nothing was read back.',
        };
    }

    /** What is said of the part up to its capacity; null where its parts are not told apart by one address. */
    public function upTo(): ?string
    {
        return match ($this) {
            self::Whole => 'everything holds',
            self::Drops, self::Corrupts, self::Refuses, self::KeepsOld => 'holds',
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
            self::KeepsOld => 'old data',
            default => null,
        };
    }
}
