<?php

declare(strict_types=1);

namespace Tally\Record;

/** How a timed copy was asked for; of one by stopwatch nothing is known. */
final readonly class CopyParameters implements Parameters
{
    public function __construct(public string $source = '', public string $into = '', public bool $verify = false) {}

    public function rounds(): int
    {
        return 1;
    }
}
