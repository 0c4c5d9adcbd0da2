<?php

declare(strict_types=1);

namespace Tally\Probe;

/** A part of how a speed run goes about it. */
enum PlanPart: string
{
    case Size = 'size';
    case Runs = 'runs';
    case From = 'from';
    case Block = 'block';
    case WarmUps = 'warm_ups';
    case Pause = 'pause';
}
