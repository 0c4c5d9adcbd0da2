<?php

declare(strict_types=1);

namespace App\Pages\Card;

use Tally\Pattern\BlockClass;

/** A range of the core sample, in bytes. */
final readonly class PatchProps
{
    public function __construct(public BlockClass $class, public int $offset, public int $length, public ?int $source) {}
}
