<?php

declare(strict_types=1);

namespace App\Compare;

/** What is held against its like. */
enum Axis: string
{
    case Reader = 'reader';
    case Host = 'host';
    case Cable = 'cable';
    case Card = 'card';

    /** Which one a run was with; null where nobody told. */
    public function of(SpeedFigure $speed): ?string
    {
        $run = $speed->run;

        return match ($this) {
            self::Reader => $run->reader?->tag,
            self::Host => $run->port?->host->name,
            self::Cable => $run->cable?->tag,
            self::Card => $run->card->tag,
        };
    }

    /** What has to be the same on both sides for two runs to be a pair. */
    public function pair(SpeedFigure $speed): ?string
    {
        return match ($this) {
            self::Reader, self::Host, self::Cable => $speed->run->card->tag.
                ($this === self::Reader || $speed->run->reader === null ? '' : " in {$speed->run->reader->tag}"),
            self::Card => $speed->chain(),
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Reader => 'the same cards in both',
            self::Host => 'the same cards in the same readers at both',
            self::Cable => 'the same cards in the same readers on both',
            self::Card => 'both on the same chain',
        };
    }
}
