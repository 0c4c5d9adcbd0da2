<?php

declare(strict_types=1);

namespace Tally\Pattern;

/** A stretch in which every sector has some wrong bits. */
final readonly class Noise implements Data
{
    /** @param  int  $bitsASector  how many bits are wrong in each 512 bytes, 1 to 8 */
    public function __construct(private Stretch $written, private int $bitsASector) {}

    public function length(): int
    {
        return $this->written->length();
    }

    /** Bits that differ from what was written. */
    public function wrongBits(): int
    {
        return $this->bitsASector * intdiv($this->length() + Appraiser::SECTOR - 1, Appraiser::SECTOR);
    }

    /** A part of it, in whole sectors. */
    public function part(int $from, int $length): self
    {
        return new self($this->written->imprint->stretch($this->written->address + $from, $length), $this->bitsASector);
    }

    public function bytes(): string
    {
        $bytes = $this->written->bytes();
        for ($at = 0; $at < strlen($bytes); $at += Appraiser::SECTOR) {
            $bytes[$at] = chr(ord($bytes[$at]) ^ ((1 << $this->bitsASector) - 1));
        }

        return $bytes;
    }
}
