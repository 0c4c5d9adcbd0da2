<?php

declare(strict_types=1);

namespace Tally\Value;

use InvalidArgumentException;

/** A constructor cannot take one of its fields, or not beside the others; the message says what would do. */
final class WrongField extends InvalidArgumentException
{
    /** @param  string  $field  its key in JSON */
    public function __construct(public readonly string $field, string $wanted)
    {
        parent::__construct($wanted);
    }
}
