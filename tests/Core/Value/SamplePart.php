<?php

declare(strict_types=1);

namespace Tests\Core\Value;

use Tally\Quantity\Bytes;

/** A value that lies among the fields of another. */
final readonly class SamplePart
{
    public function __construct(public string $kind, public Bytes $from) {}
}
