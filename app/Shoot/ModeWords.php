<?php

declare(strict_types=1);

namespace App\Shoot;

use Tally\Shoot\Mode;
use Tally\Shoot\Recording;

/** A mode in a few words. */
final readonly class ModeWords
{
    /** `240 Mb/s, long-GOP, 59.94 frames a second`. */
    public static function writes(Mode $mode): string
    {
        if ($mode->shot !== null) {
            $frames = $mode->frames ?? 1.0;
            $every = $frames < 1 ? 'one in '.round(1 / $frames, 1).' s' : "{$frames} a second";

            return "stills of {$mode->shot->decimal()}, {$every}";
        }
        $megabits = round($mode->nominal->megabits(), 1);
        $parts = [
            number_format($megabits, fmod($megabits, 1.0) === 0.0 ? 0 : 1, '.', ' ').' Mb/s',
            $mode->kind->label(),
            $mode->frames === null ? null : "{$mode->frames} frames a second",
        ];

        return implode(', ', array_filter($parts, fn (?string $part): bool => $part !== null));
    }

    /** @return list<string> */
    public static function lines(Mode $mode): array
    {
        $asks = $mode->demand->words();
        $fill = $mode->fill;
        $lines = [
            self::writes($mode),
            $fill->isCalibrated() ? sprintf('fills a card at %.1f Mb/s, %s', $fill->rate->megabits(), $fill->words()) : null,
            $asks === '' ? null : "asks for {$asks}, ".($mode->demand->refuses ? 'and refuses without' : 'and warns without'),
            $mode->recording === Recording::OneSlot ? null : "records {$mode->recording->label()}",
            $mode->clip === null ? null : "takes of up to {$mode->clip->print()}",
        ];

        return array_values(array_filter($lines, fn (?string $line): bool => $line !== null));
    }
}
