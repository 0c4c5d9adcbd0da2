<?php

declare(strict_types=1);

namespace Tally\Value;

use Attribute;

/** JSON holds the value as a row, a list of its fields in order, since there are many of them. */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class Row {}
