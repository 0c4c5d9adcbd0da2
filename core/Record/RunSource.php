<?php

declare(strict_types=1);

namespace Tally\Record;

/** Who measured. */
enum RunSource: string
{
    case Device = 'device';
    case Typed = 'typed';
    case Stopwatch = 'stopwatch';
    /** Read in from a result file that was made elsewhere. */
    case File = 'file';

    /** What is added wherever the figure is named; nothing where this program measured. */
    public function words(): string
    {
        return match ($this) {
            self::Device => '',
            self::Typed => 'typed in',
            self::Stopwatch => 'by stopwatch',
            self::File => 'from a result file',
        };
    }
}
