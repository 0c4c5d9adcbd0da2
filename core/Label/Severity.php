<?php

declare(strict_types=1);

namespace Tally\Label;

/** How much a finding on a label weighs. */
enum Severity: string
{
    case Note = 'note';
    case Doubt = 'doubt';
    case Contradiction = 'contradiction';
}
