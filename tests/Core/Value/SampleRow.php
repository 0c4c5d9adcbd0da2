<?php

declare(strict_types=1);

namespace Tests\Core\Value;

use Tally\Quantity\Bytes;
use Tally\Value\Row;

/** A value in a row. */
#[Row]
final readonly class SampleRow
{
    public function __construct(public string $kind, public Bytes $from, public ?int $more = null) {}
}
