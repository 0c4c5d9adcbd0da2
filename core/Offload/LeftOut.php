<?php

declare(strict_types=1);

namespace Tally\Offload;

/** A card that cannot be planned, and what is missing. */
final readonly class LeftOut
{
    public function __construct(public string $tag, public Missing $missing, public string $sentence) {}
}
