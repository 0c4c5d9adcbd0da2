<?php

declare(strict_types=1);

namespace Tally\Simulated;

use InvalidArgumentException;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;
use Tally\Value\Alterable;

/** A made-up card: what it says, what it is, and how fast. The same seed always gives the same card. */
final readonly class Medium
{
    use Alterable {
        with as public;
    }

    /**
     * @param  Bytes  $shown  the size it reports
     * @param  Bytes  $true  the memory it has
     * @param  Bytes|null  $cache  how much it writes fast before it falls to `$write`
     * @param  Rate|null  $fast  write speed into that cache
     * @param  int  $patches  bad patches, for a patchy medium
     * @param  float  $jitter  relative standard deviation between runs
     * @param  Bytes|null  $spared  of one that starts over: the first part, which is not written over
     * @param  Bytes|null  $remembers  how much of what it was given last it answers right until it is taken out, whatever it is
     * @param  float  $fade  share of its write speed that it has lost to heat at the end of a whole card
     */
    public function __construct(
        public Behaviour $behaviour,
        public Bytes $shown,
        public Bytes $true,
        public Rate $write,
        public Rate $read,
        public ?Bytes $cache = null,
        public ?Rate $fast = null,
        public int $patches = 0,
        public float $jitter = 0.01,
        public int $seed = 1,
        public float $fade = 0.0,
        public ?Bytes $spared = null,
        public ?Bytes $remembers = null,
    ) {
        if ($spared !== null && $spared->count >= $true->count) {
            throw new InvalidArgumentException(
                "What a stand-in spares must be less than its true size; {$spared->decimal()} of {$true->decimal()} was given.",
            );
        }
        if ($true->isZero() || $true->count > $shown->count) {
            throw new InvalidArgumentException(
                'A stand-in’s true size must be above nothing and at most the size it '.
                "shows; {$true->decimal()} of {$shown->decimal()} was given.",
            );
        }
    }

    /**
     * From one line: `wraps,size=32GB,true=8GB,write=20MB/s,read=84MB/s,cache=4GB,fast=60MB/s,patches=5,seed=7`.
     * Only the behaviour and the size are needed.
     *
     * @throws InvalidArgumentException with a sentence that names the part
     */
    public static function parse(string $line): self
    {
        $parts = array_map(trim(...), explode(',', $line));
        $behaviour =
            Behaviour::tryFrom(array_shift($parts)) ??
            throw new InvalidArgumentException(
                "“{$line}” does not begin with what the stand-in does: honest, wraps, keeps, drops, corrupts, refuses or patchy.",
            );
        $given = [];
        foreach ($parts as $part) {
            [$key, $value] = [...explode('=', $part, 2), ''];
            if (
                ! in_array(
                    $key,
                    ['size', 'true', 'write', 'read', 'cache', 'fast', 'patches', 'seed', 'fade', 'spared', 'remembers'],
                    true,
                ) ||
                $value === ''
            ) {
                throw new InvalidArgumentException(
                    "“{$part}” is not a part of a stand-in: give size, true, write, read, cache, fast, fade, patches, spared, ".
                    'remembers or seed, as in size=32GB.',
                );
            }
            $given[$key] = $value;
        }
        try {
            $shown = Bytes::parse($given['size'] ?? '32GB');

            return new self(
                $behaviour,
                $shown,
                isset($given['true'])
                    ? Bytes::parse($given['true'])
                    : Bytes::of($behaviour->isShort() ? intdiv($shown->count, 4) : $shown->count),
                Rate::parse($given['write'] ?? '60MB/s'),
                read: Rate::parse($given['read'] ?? '90MB/s'),
                cache: isset($given['cache']) ? Bytes::parse($given['cache']) : null,
                fast: isset($given['fast']) ? Rate::parse($given['fast']) : null,
                patches: max(0, (int) ($given['patches'] ?? ($behaviour === Behaviour::Patchy ? 5 : 0))),
                seed: (int) ($given['seed'] ?? 1),
                fade: max(0.0, min(0.9, (float) ($given['fade'] ?? 0))),
                spared: isset($given['spared']) ? Bytes::parse($given['spared']) : null,
                remembers: isset($given['remembers']) ? Bytes::parse($given['remembers']) : null,
            );
        } catch (NotAQuantity $e) {
            throw new InvalidArgumentException($e->getMessage(), previous: $e);
        }
    }

    /** The line that parse() makes this medium of. */
    public function line(): string
    {
        $parts = [
            'size' => $this->shown->count.'B',
            'true' => $this->true->count.'B',
            'write' => round($this->write->bytesPerSecond).'B/s',
            'read' => round($this->read->bytesPerSecond).'B/s',
            'cache' => $this->cache === null ? null : $this->cache->count.'B',
            'fast' => $this->fast === null ? null : round($this->fast->bytesPerSecond).'B/s',
            'fade' => $this->fade > 0 ? (string) $this->fade : null,
            'patches' => $this->patches === 0 ? null : (string) $this->patches,
            'spared' => $this->spared === null ? null : $this->spared->count.'B',
            'remembers' => $this->remembers === null ? null : $this->remembers->count.'B',
            'seed' => (string) $this->seed,
        ];
        $line = $this->behaviour->value;
        foreach (array_filter($parts, is_string(...)) as $key => $value) {
            $line .= ",{$key}={$value}";
        }

        return $line;
    }
}
