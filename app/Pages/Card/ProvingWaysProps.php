<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** Both ways of proving side by side, and which of them suits the card now. */
final readonly class ProvingWaysProps
{
    /** @param  string  $recommended  proof or screen */
    public function __construct(
        public ProvingWayProps $proof,
        public ProvingWayProps $screen,
        public string $recommended,
        public string $reason,
    ) {}
}
