<?php

declare(strict_types=1);

namespace App\Props\Prove;

/** A line of the ledger, in words. */
final readonly class ErasureProps
{
    public function __construct(public string $on, public string $what, public string $path, public string $size, public string $person, public ?string $why) {}
}
