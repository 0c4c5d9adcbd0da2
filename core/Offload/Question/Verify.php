<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

/** What is done with a copy before it counts. */
enum Verify: string
{
    case None = 'none';
    case ReadBack = 'read-back';
}
