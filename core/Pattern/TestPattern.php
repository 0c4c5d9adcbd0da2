<?php

declare(strict_types=1);

namespace Tally\Pattern;

use InvalidArgumentException;
use Random\Engine\Secure;
use Random\Randomizer;
use Tally\Quantity\Bytes;

/**
 * What one run writes over a medium of one size, block by block: incompressible, telling run and address everywhere,
 * and sealed at the end of each block.
 *
 * A block is checked by its first stamp and its seal, with nothing made again; one that fails is made again and compared
 * bit by bit.
 */
final readonly class TestPattern
{
    public const BLOCK = 1_048_576;

    /** Shorter tails of a medium carry no seal: they are compared as they are. */
    private const LEAST_SEALED = 64;

    /** The plain text of a whole block, kept since making it anew each time costs a fifth of the speed. */
    private string $zeros;

    /** @param  int  $run  above 0 */
    public function __construct(public int $run, public Bytes $size)
    {
        $this->zeros = str_repeat("\0", self::BLOCK - Seal::LENGTH);
        if ($run <= 0) {
            throw new InvalidArgumentException("A run is numbered above 0, not {$run}.");
        }
    }

    public static function random(Bytes $size): self
    {
        return new self((new Randomizer(new Secure()))->getInt(1, PHP_INT_MAX), $size);
    }

    /** @param  int  $address  a multiple of the block length within the medium */
    public function block(int $address): string
    {
        $length = $this->lengthAt($address);
        if ($length < self::LEAST_SEALED) {
            return Cipher::stream($this->run, $address, substr($this->zeros, 0, $length));
        }
        $zeros = $length === self::BLOCK ? $this->zeros : substr($this->zeros, 0, $length - Seal::LENGTH);
        $block = Cipher::stream($this->run, $address, $zeros);
        $block .= Seal::of($block);

        return $block;
    }

    /** Whether a block came back exactly as this run wrote it for this address. */
    public function isIntact(string $block, int $address): bool
    {
        $length = strlen($block);
        if ($length !== $this->lengthAt($address)) {
            return false;
        }
        if ($length < self::LEAST_SEALED) {
            return $block === $this->block($address);
        }

        return Seal::closes($block) &&
            str_starts_with($block, Cipher::stream($this->run, $address, substr($this->zeros, 0, 2 * Cipher::UNIT)));
    }

    /** Whether whole blocks came back exactly as this run wrote them from this address on; of pieces of a block nothing is said. */
    public function holds(string $blocks, int $address): bool
    {
        $length = strlen($blocks);
        for ($at = 0; $at < $length; $at += self::BLOCK) {
            $block = $length <= self::BLOCK ? $blocks : substr($blocks, $at, self::BLOCK);
            if (($address + $at) % self::BLOCK !== 0 || ! $this->isIntact($block, $address + $at)) {
                return false;
            }
        }

        return $length > 0;
    }

    /** The bytes written to any range, whole blocks or not. */
    public function range(int $offset, int $length): string
    {
        $bytes = '';
        $end = min($offset + $length, $this->size->count);
        for ($address = $offset - ($offset % self::BLOCK); $address < $end; $address += self::BLOCK) {
            $from = max($offset, $address) - $address;
            $to = min($end - $address, $this->lengthAt($address));
            $bytes .= $this->part($address, $from, $to);
        }

        return $bytes;
    }

    public function stretch(int $offset, int $length): Stretch
    {
        return new Stretch($this, $offset, min($length, $this->size->count - $offset));
    }

    /** Some bytes of a block; only where its seal is among them does all of it have to be made. */
    private function part(int $address, int $from, int $to): string
    {
        if ($to > $this->lengthAt($address) - Seal::LENGTH || $to - $from > self::BLOCK / 2) {
            return substr($this->block($address), $from, $to - $from);
        }
        $unit = $from - ($from % Cipher::UNIT);

        return substr(Cipher::stream($this->run, $address + $unit, substr($this->zeros, 0, $to - $unit)), $from - $unit);
    }

    private function lengthAt(int $address): int
    {
        return min(self::BLOCK, $this->size->count - $address);
    }
}
