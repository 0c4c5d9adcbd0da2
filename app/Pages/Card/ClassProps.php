<?php

declare(strict_types=1);

namespace App\Pages\Card;

use Tally\Pattern\BlockClass;

/** A row of “what came back”. */
final readonly class ClassProps
{
    public function __construct(public BlockClass $class, public int $bytes, public string $size, public string $meaning) {}
}
