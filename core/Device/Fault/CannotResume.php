<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

/** A proof that cannot be gone on with, or stands in the way of another run. */
final class CannotResume extends UnusablePath
{
    public static function heldByProof(string $given, string $free, string $asked): self
    {
        return new self(
            $given,
            'heldByProof',
            "“{$given}” has {$free} to write to, and {$asked} was asked for: a proof that can go on keeps the rest of the card. Go ".
                'on with it, or begin a new proof, which takes away what it had written.',
        );
    }

    /** @param  string  $why  how it is told to be another */
    public static function otherCard(string $why): self
    {
        return new self(
            '',
            'otherCard',
            "This is not the card the proof was begun on, or it was written to since: {$why}. Put the right one in, or begin a new proof.",
        );
    }
}
