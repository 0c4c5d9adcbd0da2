<?php

declare(strict_types=1);

namespace Tally\Transfer;

use HashContext;
use Tally\Device\Host\Sha256;

/** Takes both checksums of what passes by. */
final readonly class Summing
{
    private HashContext $fast;

    private Sha256 $sha256;

    public function __construct()
    {
        $this->fast = hash_init('xxh128');
        $this->sha256 = new Sha256();
    }

    public function add(string $bytes): void
    {
        hash_update($this->fast, $bytes);
        $this->sha256->add($bytes);
    }

    public function sums(): Sums
    {
        return new Sums(hash_final($this->fast), $this->sha256->digest());
    }
}
