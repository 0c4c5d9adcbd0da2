<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** What goes into which port. */
final readonly class CabledProps
{
    public function __construct(public string $thing, public string $name, public string $port) {}
}
