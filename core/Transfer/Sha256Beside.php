<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Tally\Device\Host\ProcessBeside;
use Tally\Device\Host\Sha256;

/**
 * SHA-256 of one file after another, taken by a process beside this one: it takes longer than all else that a copy takes, and one
 * core does both one after the other. Where no such process can be had, it is taken here.
 */
final class Sha256Beside
{
    private ?ProcessBeside $beside = null;

    private ?Sha256 $here = null;

    /** @var list<string|null> in the order of the files: taken here, or null for one that it still owes */
    private array $taken = [];

    private function begin(): void
    {
        if ($this->beside === null && $this->here === null) {
            $this->beside = ProcessBeside::of(self::class);
            $this->here = $this->beside === null ? new Sha256() : null;
        }
    }

    /** Bytes of the file that is being read. */
    public function add(string $bytes): void
    {
        $this->begin();
        if ($this->here !== null) {
            $this->here->add($bytes);
        } elseif ($bytes !== '') {
            $this->beside?->tell(pack('V', strlen($bytes)).$bytes);
        }
    }

    /** The file ends here; the next begins. */
    public function end(): void
    {
        $this->begin();
        if ($this->here !== null) {
            $this->taken[] = $this->here->digest();
            $this->here = new Sha256();
        } else {
            $this->beside?->tell(pack('V', 0));
            $this->taken[] = null;
        }
    }

    /**
     * @return list<string|null> hexadecimal, of the files that ended since they were asked for last, in their order; null where the
     *                           process died over it
     */
    public function digests(): array
    {
        [$taken, $this->taken] = [$this->taken, []];

        return array_map(fn (?string $digest): ?string => $digest ?? $this->answer(), $taken);
    }

    private function answer(): ?string
    {
        $line = $this->beside?->answer();

        return $line !== null && preg_match('/^[0-9a-f]{64}$/D', $line) === 1 ? $line : null;
    }

    /** What the process beside does: lengths and bytes on its standard input, a digest a line on its standard output. */
    public static function work(): void
    {
        ProcessBeside::leaveSignals();
        stream_set_read_buffer(STDIN, 0);
        $sum = new Sha256();
        while (($head = self::exactly(4)) !== null) {
            $said = unpack('V', $head);
            $length = is_array($said) && is_int($said[1] ?? null) ? $said[1] : 0;
            if ($length === 0) {
                fwrite(STDOUT, $sum->digest()."\n");
                $sum = new Sha256();

                continue;
            }
            while ($length > 0) {
                $bytes = fread(STDIN, min($length, 65_536));
                if ($bytes === false || $bytes === '') {
                    return;
                }
                $sum->add($bytes);
                $length -= strlen($bytes);
            }
        }
    }

    private static function exactly(int $length): ?string
    {
        $all = '';
        while (($left = $length - strlen($all)) > 0) {
            $bytes = fread(STDIN, $left);
            if ($bytes === false || $bytes === '') {
                return null;
            }
            $all .= $bytes;
        }

        return $all;
    }
}
