<?php

declare(strict_types=1);

namespace Tally\Reading\Compare;

/** What two figures are of. A number without a unit may be anything: more of it is more. */
enum FigureKind
{
    case Number;
    case Speed;
    case Time;
}
