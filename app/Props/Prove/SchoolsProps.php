<?php

declare(strict_types=1);

namespace App\Props\Prove;

/** Both ways of proving side by side, and which of them suits the card now. */
final readonly class SchoolsProps
{
    /** @param  string  $recommended  proof or screen */
    public function __construct(public SchoolProps $proof, public SchoolProps $screen, public string $recommended, public string $reason) {}
}
