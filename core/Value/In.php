<?php

declare(strict_types=1);

namespace Tally\Value;

use Attribute;

/** A number in the unit of a quantity, or a list or map of such numbers: in JSON people may write it as that quantity, `95 MB/s`. */
#[Attribute(Attribute::TARGET_PARAMETER | Attribute::TARGET_PROPERTY)]
final readonly class In
{
    /** @param  class-string<OwnJson>  $quantity  that JSON holds as one number */
    public function __construct(public string $quantity) {}
}
