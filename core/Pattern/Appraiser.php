<?php

declare(strict_types=1);

namespace Tally\Pattern;

/** Says what came back, where, down to the sector. */
final class Appraiser
{
    /** The smallest unit that cards and drives write: an echo or a fault is never smaller. */
    public const SECTOR = 512;

    /** @var array{int, int, string}|null address, length and bytes of what was last made for an echo: many may repeat one place */
    private ?array $made = null;

    public function __construct(private readonly TestPattern $imprint) {}

    /**
     * @param  Data  $read  what came back from `$offset`, a multiple of the sector; whole blocks of the pattern are checked fastest
     * @return list<Patch> without gaps, in order
     */
    public function appraise(Data $read, int $offset): array
    {
        if ($read instanceof Mosaic) {
            return $this->described($read, $offset);
        }
        $bytes = $read->bytes();
        if (strlen($bytes) <= TestPattern::BLOCK) {
            return $this->block($bytes, $offset);
        }
        $patches = [];
        foreach (str_split($bytes, TestPattern::BLOCK) as $i => $block) {
            $patches = [...$patches, ...$this->block($block, $offset + $i * TestPattern::BLOCK)];
        }

        return $patches;
    }

    /** @return list<Patch> */
    private function block(string $block, int $address): array
    {
        if ($this->imprint->isIntact($block, $address)) {
            return [new Patch(BlockClass::Holds, $address, strlen($block))];
        }
        $expected = $this->imprint->range($address, strlen($block));
        $difference = $block ^ $expected;
        $patches = [];
        for ($at = 0; $at < strlen($block); $at += $patch->length) {
            $patch = $this->patch($block, $difference, $address, $at);
            $patches[] = $patch;
        }

        return $patches;
    }

    /** The longest patch from here on that the same explanation covers, in whole sectors. */
    private function patch(string $block, string $difference, int $address, int $at): Patch
    {
        $left = strlen($block) - $at;
        $offset = $address + $at;
        $holds = self::sectors(strspn($difference, "\0", $at), $left);
        if ($holds > 0) {
            return new Patch(BlockClass::Holds, $offset, $holds);
        }
        foreach (["\0", "\xFF"] as $filler) {
            $blank = self::sectors(strspn($block, $filler, $at), $left);
            if ($blank > 0) {
                return new Patch(BlockClass::Blank, $offset, $blank);
            }
        }

        return $this->stamped($block, $at, $offset) ??
            new Patch(
                BlockClass::Scrambled,
                $offset,
                min(self::SECTOR, $left),
                wrongBits: self::bits(substr($difference, $at, self::SECTOR)),
            );
    }

    /** Bytes of some imprint, but not of this address. */
    private function stamped(string $block, int $at, int $offset): ?Patch
    {
        $left = strlen($block) - $at;
        // A lap that is no multiple of 16 bytes is nothing a card has, but a made-up device may.
        $stamp = Cipher::stamp(substr($block, $at, 2 * Cipher::UNIT)) ?? Cipher::stampOutOfStep(substr($block, $at, 3 * Cipher::UNIT));
        if ($stamp === null || ($stamp->run === $this->imprint->run && $stamp->address === $offset)) {
            return null;
        }
        $stale = $stamp->run !== $this->imprint->run;
        if ($stale || $stamp->address >= $this->imprint->size->count) {
            return new Patch(BlockClass::Stale, $offset, min(self::SECTOR, $left));
        }
        // Twice as far each time: an echo of one sector must not cost the making of a whole block.
        for ($far = self::SECTOR; ; $far *= 2) {
            $far = min($far, $left);
            $same = self::sectors(strspn(substr($block, $at, $far) ^ $this->made($stamp->address, $far), "\0"), $far);
            if ($same < $far || $far === $left) {
                return $same > 0 ? new Patch(BlockClass::Echoes, $offset, $same, $stamp->address) : null;
            }
        }
    }

    private function made(int $address, int $length): string
    {
        if ($this->made === null || $this->made[0] !== $address || $this->made[1] < $length) {
            $this->made = [$address, $length, $this->imprint->range($address, $length)];
        }

        return $this->made[1] === $length ? $this->made[2] : substr($this->made[2], 0, $length);
    }

    /** @return list<Patch> */
    private function described(Mosaic $read, int $offset): array
    {
        $patches = [];
        foreach ($read->pieces as $piece) {
            $length = $piece->length();
            $patches[] = match (true) {
                $piece instanceof Blank => new Patch(BlockClass::Blank, $offset, $length),
                $piece instanceof Noise => new Patch(BlockClass::Scrambled, $offset, $length, wrongBits: $piece->wrongBits()),
                $piece->imprint->run !== $this->imprint->run => new Patch(BlockClass::Stale, $offset, $length),
                $piece->address === $offset => new Patch(BlockClass::Holds, $offset, $length),
                default => new Patch(BlockClass::Echoes, $offset, $length, $piece->address),
            };
            $offset += $length;
        }

        return $patches;
    }

    /** Whole sectors in a run of alike bytes; a run to the very end counts whole, since a medium's tail may be shorter than a sector. */
    private static function sectors(int $alike, int $left): int
    {
        return $alike >= $left ? $left : $alike - ($alike % self::SECTOR);
    }

    private static function bits(string $difference): int
    {
        $bits = 0;
        foreach (count_chars($difference, 1) as $byte => $times) {
            $bits += $times * substr_count(decbin($byte), '1');
        }

        return $bits;
    }
}
