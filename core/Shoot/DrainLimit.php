<?php

declare(strict_types=1);

namespace Tally\Shoot;

/** What limits how fast a buffer drains. */
enum DrainLimit: string
{
    case Body = 'body';
    case Card = 'card';
}
