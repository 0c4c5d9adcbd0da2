<?php

declare(strict_types=1);

namespace Tally\Simulated;

use LogicException;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Device\Addressed;
use Tally\Device\DeviceFacts;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Thermometer;
use Tally\Pattern\Blank;
use Tally\Pattern\Data;
use Tally\Pattern\Mosaic;
use Tally\Pattern\Noise;
use Tally\Pattern\Stretch;
use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Temperature;

/** A made-up medium in a made-up reader: it keeps books instead of bytes, and moves its own clock as it works. */
final class SimulatedDevice implements Addressed, Thermometer
{
    /** Reading this share of what was written since gives it time to rest. */
    private const REST = 0.25;

    private readonly WrittenRanges $books;

    private ?Remembered $recent;

    private readonly Randomizer $chance;

    /** @var list<array{from: int, to: int, bits: int}> */
    private readonly array $patches;

    /** Bytes since the medium last had time to empty its cache. */
    private int $sinceRest = 0;

    /** Bytes read since the last write. */
    private int $readSince = 0;

    /** How this pass differs from the others, around 1. */
    private float $mood = 1.0;

    /**
     * @param  Rate|null  $reader  the most that the reader and what lies behind it let through
     * @param  int  $calls  in about how many the whole medium is written, so that a terabyte takes no longer than a gigabyte
     */
    public function __construct(
        private readonly Medium $medium,
        private readonly SimulatedClock $clock,
        private readonly ?Rate $reader = null,
        private readonly int $calls = 1000,
    ) {
        $this->books = new WrittenRanges();
        $this->chance = new Randomizer(new Xoshiro256StarStar($medium->seed));
        $this->patches =
            $medium->behaviour === Behaviour::Corrupts
                ? [['from' => $medium->true->count, 'to' => $medium->shown->count, 'bits' => 4]]
                : $this->placePatches();
        $this->recent = $medium->remembers === null ? null : new Remembered($medium->remembers->count);
    }

    public function size(): Bytes
    {
        return $this->medium->shown;
    }

    public function stretch(): int
    {
        return max(1, intdiv($this->medium->shown->count, $this->calls * TestPattern::BLOCK)) * TestPattern::BLOCK;
    }

    public function write(int $offset, Data $data): void
    {
        if (! ($data instanceof Stretch)) {
            throw new LogicException('A stand-in keeps books of imprints only.');
        }
        $length = $data->length();
        // While it is read it has time to empty its cache and to cool; a look at a few places is no rest.
        if ($this->readSince > self::REST * $this->sinceRest) {
            $this->sinceRest = 0;
        }
        $this->readSince = 0;
        $this->spend($length, $this->writeTime($length));
        if ($this->medium->behaviour === Behaviour::Refuses && $offset + $length > $this->medium->true->count) {
            throw CannotWrite::at($offset, 'the stand-in', 'there is no memory');
        }
        $this->recent?->add($offset, $data);
        foreach ($this->places($offset, $length, true) as [$done, $part, $at]) {
            if ($at !== null) {
                $this->books->put($at, $part, $data->address + $done, $data->imprint);
            }
        }
    }

    public function read(int $offset, int $length): Data
    {
        $this->spend($length, ($length / $this->through($this->medium->read)) * $this->mood);
        $this->readSince += $length;
        if ($this->medium->behaviour === Behaviour::Refuses && $offset + $length > $this->medium->true->count) {
            throw CannotRead::at($offset, $length, 'the stand-in', 'there is no memory');
        }
        $pieces = [];
        foreach ($this->places($offset, $length, false) as [$done, $part, $at]) {
            $pieces = [...$pieces, ...$at === null ? [new Blank($part)] : $this->books->look($at, $part)];
        }
        $read = $this->spoil($pieces, $offset);

        return new Mosaic($this->recent === null ? $read : $this->recent->over($read, $offset));
    }

    /**
     * Where a range lies in the memory, in as many parts as it takes.
     *
     * @return iterable<array{int, int, int|null}> how far into the range, length, place; null where there is no memory
     */
    private function places(int $offset, int $length, bool $writing): iterable
    {
        [$true, $kind] = [$this->medium->true->count, $this->medium->behaviour];
        for ($done = 0; $done < $length; $done += $part) {
            $address = $offset + $done;
            $left = $length - $done;
            if ($address < $true || ! in_array($kind, [Behaviour::Wraps, Behaviour::Keeps, Behaviour::Drops], true)) {
                $part = $address < $true ? min($left, $true - $address) : $left;
                yield [$done, $part, $address];
            } elseif ($kind === Behaviour::Drops || ($kind === Behaviour::Keeps && $writing)) {
                $part = $left;
                yield [$done, $part, null];
            } else {
                $spared = $this->medium->spared->count ?? 0;
                $at = $spared + (($address - $spared) % ($true - $spared));
                $part = min($left, $true - $at);
                yield [$done, $part, $at];
            }
        }
    }

    public function settle(): void
    {
        $this->clock->advance(0.002);
    }

    public function forget(): bool
    {
        // Two numbers between 0 and 1 by Box–Muller: speeds of real runs scatter about normally.
        [$u, $v] = [$this->chance->getInt(1, 1_000_000) / 1e6, $this->chance->getInt(1, 1_000_000) / 1e6];
        $this->mood = max(0.5, 1 + $this->medium->jitter * sqrt(-2 * log($u)) * cos(2 * M_PI * $v));

        return true;
    }

    /** The same medium after it was without power: what it only remembered is gone. */
    public function takenOutAndIn(): self
    {
        $again = clone $this;
        $again->recent = $this->medium->remembers === null ? null : new Remembered($this->medium->remembers->count);

        return $again;
    }

    /** From a cool room up to what the trade sees under long load, as far as it has faded; one that does not fade stays lukewarm. */
    public function temperature(): Temperature
    {
        $share = min(1, $this->sinceRest / $this->medium->shown->count);

        return Temperature::celsius(24 + ($this->medium->fade > 0 ? 43 * $share : 14 * (1 - exp(-8 * $share))));
    }

    /** @return float seconds to write this many bytes, part of them perhaps into the cache */
    private function writeTime(int $length): float
    {
        $cache = $this->medium->cache;
        $fast = $cache === null ? 0 : min($length, max(0, $cache->count - $this->sinceRest));
        // Heat takes away a share of the speed, little by little over a whole card of writing.
        $left = 1 - $this->medium->fade * min(1, ($this->sinceRest + $length / 2) / $this->medium->shown->count);
        $this->sinceRest += $length;

        return $this->mood *
            ($fast / $this->through($this->medium->fast ?? $this->medium->write) +
                ($length - $fast) / min($this->through($this->medium->write), $this->medium->write->bytesPerSecond * $left));
    }

    private function through(Rate $rate): float
    {
        return min($rate->bytesPerSecond, $this->reader->bytesPerSecond ?? INF);
    }

    private function spend(int $bytes, float $seconds): void
    {
        // Within a pass the speed ripples a little; it is drawn from the seed too.
        $this->clock->advance($bytes === 0 ? 0 : $seconds * (1 + $this->medium->jitter * ($this->chance->getInt(-1000, 1000) / 1000)));
    }

    /** @return list<array{from: int, to: int, bits: int}> in order, apart from one another */
    private function placePatches(): array
    {
        $patches = [];
        // In whole sectors, as on any card.
        $each = $this->medium->patches === 0 ? 0 : 512 * intdiv($this->medium->shown->count, 512 * $this->medium->patches);
        for ($i = 0; $i < $this->medium->patches; $i++) {
            $sectors = $this->chance->getInt(8, 4096);
            $from = $i * $each + 512 * $this->chance->getInt(0, max(0, intdiv($each, 512) - $sectors - 1));
            $patches[] = ['from' => $from, 'to' => $from + 512 * $sectors, 'bits' => $this->chance->getInt(1, 8)];
        }

        return $patches;
    }

    /**
     * @param  list<Stretch|Blank>  $pieces
     * @return list<Stretch|Noise|Blank>
     */
    private function spoil(array $pieces, int $offset): array
    {
        if ($this->patches === []) {
            return $pieces;
        }
        $spoilt = [];
        foreach ($pieces as $piece) {
            $end = $offset + $piece->length();
            $at = $offset;
            foreach ($this->patches as $patch) {
                [$from, $to] = [max($at, $patch['from']), min($end, $patch['to'])];
                if ($piece instanceof Blank || $from >= $to) {
                    continue;
                }
                $address = $piece->address - $offset;
                if ($from > $at) {
                    $spoilt[] = $piece->imprint->stretch($address + $at, $from - $at);
                }
                $spoilt[] = new Noise($piece->imprint->stretch($address + $from, $to - $from), $patch['bits']);
                $at = $to;
            }
            $spoilt[] =
                $at === $offset
                    ? $piece
                    : ($piece instanceof Stretch
                        ? $piece->imprint->stretch($piece->address + $at - $offset, $end - $at)
                        : $piece);
            $offset = $end;
        }

        return array_values(array_filter($spoilt, fn (Data $piece): bool => $piece->length() > 0));
    }

    public function facts(): DeviceFacts
    {
        return new DeviceFacts();
    }

    public function close(): void {}

    public function leave(): void {}
}
