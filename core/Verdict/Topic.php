<?php

declare(strict_types=1);

namespace Tally\Verdict;

/** What a reason speaks of. */
enum Topic: string
{
    case Label = 'label';
    case Contact = 'contact';
    case Capacity = 'capacity';
    case SpeedClass = 'class';
    case Write = 'write';
    case Read = 'read';
    case Sustained = 'sustained';
    case Repeat = 'repeat';
    case Price = 'price';
}
