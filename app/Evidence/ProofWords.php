<?php

declare(strict_types=1);

namespace App\Evidence;

use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Record\ProofRecord;

/** What came of a proof, in a sentence and in a few words. */
final readonly class ProofWords
{
    public static function summary(ProofRecord $record): string
    {
        $capacity = $record->diagnosis->capacity;
        $points = $record->points();
        if ($points !== null && $record->isOnlyScreened()) {
            return "All {$points} places that were drawn, and the dense stretch at the beginning, came back as written. The rest is open.";
        }
        $rest =
            $record->alarmAt !== null || $points !== null
                ? ''
                : ($record->covered()->count < $record->size->count
                    ? " {$record->covered()->decimal()} of {$record->size->decimal()} was looked at; the rest is open."
                    : '');

        // Of single places nobody knows what lies between them.
        $isPlaces = $points !== null || $record->covered()->count < $capacity->count;
        $first = $isPlaces ? "Every place that was looked at up to {$capacity->decimal()}" : "The first {$capacity->decimal()}";

        return match ($record->diagnosis->condition) {
            Condition::Whole => "All of {$record->covered()->decimal()} came back as written.",
            Condition::Wraps => self::wraps($record),
            Condition::Drops => "{$first} holds; nothing after that was kept.",
            Condition::Corrupts => "{$first} holds; nearly everything after that came back changed.",
            Condition::KeepsNothing => 'Nothing of what was written is there.',
            Condition::KeepsOld => "{$first} holds; behind it stands what an earlier run wrote.",
            Condition::Aliases => ($record->diagnosis->exact ? '' : 'At most about ').
                "{$capacity->decimal()} holds; of the rest most gave back what was written to other addresses.",
            Condition::Refuses => $capacity->isZero()
                ? 'It answered with errors from the first byte on.'
                : "{$first} holds; from there on it answered with errors.",
            Condition::Faulty => "{$record->bad()->decimal()} did not come back as written, the first at byte ".
                self::grouped($record->firstBad ?? 0).
                ($record->wrongBits === 0 ? '.' : '; '.self::grouped($record->wrongBits).' bits are wrong.'),
            Condition::Unknown => 'Nothing was read back.',
        }.$rest;
    }

    /** What is said at the peg of the capacity. */
    public static function peg(ProofRecord $record): string
    {
        $about = $record->diagnosis->exact ? '' : 'about ';
        $size = $record->diagnosis->capacity->decimal();

        return match ($record->diagnosis->condition) {
            Condition::Whole => $record->isOnlyScreened() ? 'not proven' : "proven {$size}",
            Condition::KeepsNothing => 'keeps nothing',
            Condition::KeepsOld => "old data from {$about}{$size} on",
            Condition::Wraps, Condition::Drops, Condition::Corrupts => "keeps {$about}{$size}",
            Condition::Aliases => ($record->diagnosis->exact ? '' : 'at most about ')."{$size} holds, mixed up",
            Condition::Refuses => "errors from {$about}{$size} on",
            Condition::Faulty => "{$about}{$size} holds, not all",
            Condition::Unknown => 'nothing proven',
        };
    }

    private static function wraps(ProofRecord $record): string
    {
        $lap = Bytes::of($record->diagnosis->wrap ?? 0)->decimal();
        $from = $record->diagnosis->wrapFrom ?? 0;

        return $from === 0
            ? "The card starts over every {$lap}: only the last lap holds, every earlier address gives back data that was written a ".
                'whole number of laps away.'
            : 'The first '.
                    Bytes::of($from)->decimal().
                    " is spared; behind it the card starts over every {$lap}, so that it ".
                    "keeps {$record->diagnosis->capacity->decimal()} in all.";
    }

    private static function grouped(int $count): string
    {
        return number_format($count, 0, '.', "\u{202F}");
    }
}
