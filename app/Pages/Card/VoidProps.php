<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** Why a run counts no longer, or once did not. */
final readonly class VoidProps
{
    /** @param  string|null  $withdrawn  why it counts again */
    public function __construct(public string $reason, public string $by, public string $on, public ?string $withdrawn) {}
}
