<?php

declare(strict_types=1);

namespace Tally\Value;

use Attribute;

/** The fields of this value lie among those of the one that holds it; where it may be null, it is when the first is missing. */
#[Attribute(Attribute::TARGET_PARAMETER | Attribute::TARGET_PROPERTY)]
final readonly class Inline {}
