<?php

declare(strict_types=1);

namespace Tally\Value;

use InvalidArgumentException;
use JsonSerializable;

/** A value that JSON holds as one number, one text or one list, and not by the names of its fields: a size is its bytes. */
interface OwnJson extends JsonSerializable
{
    /** @throws InvalidArgumentException with a sentence that says what would do */
    public static function fromJson(mixed $given): static;
}
