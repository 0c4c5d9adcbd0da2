<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

use InvalidArgumentException;

/** A question for a plan that contradicts itself. */
final class UnusableQuestion extends InvalidArgumentException
{
    /** @param  string  $field  where in a plan file it stands, such as `readers[0].slots` */
    public function __construct(public readonly string $field, string $sentence)
    {
        parent::__construct($sentence);
    }
}
