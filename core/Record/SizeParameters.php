<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Quantity\Bytes;

/** How a sustained run was asked for. */
final readonly class SizeParameters implements Parameters
{
    /** @param  Bytes|null  $size  null for all there is */
    public function __construct(public ?Bytes $size = null) {}

    public function rounds(): int
    {
        return 1;
    }
}
