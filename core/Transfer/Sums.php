<?php

declare(strict_types=1);

namespace Tally\Transfer;

/** The checksums of a file: XXH128 is what copies are compared by, SHA-256 is for others. Hexadecimal. */
final readonly class Sums
{
    public function __construct(public string $xxh128, public string $sha256) {}
}
