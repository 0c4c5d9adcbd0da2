<?php

declare(strict_types=1);

namespace Tally\Simulated;

use Tally\Pattern\Blank;
use Tally\Pattern\Noise;
use Tally\Pattern\Stretch;

/** What a made-up medium was given last, and answers right from a cache of its own until that is too small. */
final class Remembered
{
    /** @var list<array{int, Stretch}> address and what was written there, the oldest first */
    private array $writes = [];

    private int $bytes = 0;

    public function __construct(private readonly int $most) {}

    public function add(int $offset, Stretch $data): void
    {
        // A write that is larger than the cache leaves its end there.
        $over = max(0, $data->length() - $this->most);
        $kept = $over === 0 ? $data : $data->imprint->stretch($data->address + $over, $data->length() - $over);
        $this->writes[] = [$offset + $over, $kept];
        $this->bytes += $kept->length();
        while ($this->bytes > $this->most) {
            [, $oldest] = array_shift($this->writes) ?? [0, $kept];
            $this->bytes -= $oldest->length();
        }
    }

    /**
     * @param  list<Stretch|Noise|Blank>  $pieces  what the memory gives, from an address on
     * @return list<Stretch|Noise|Blank>
     */
    public function over(array $pieces, int $offset): array
    {
        foreach ($this->writes as [$at, $data]) {
            $pieces = self::laid($pieces, $offset, $at, $data);
        }

        return $pieces;
    }

    /**
     * @param  list<Stretch|Noise|Blank>  $pieces
     * @return list<Stretch|Noise|Blank>
     */
    private static function laid(array $pieces, int $offset, int $at, Stretch $data): array
    {
        $end = $at + $data->length();
        $laid = [];
        foreach ($pieces as $piece) {
            $to = $offset + $piece->length();
            [$from, $until] = [max($offset, $at), min($to, $end)];
            if ($from >= $until) {
                $laid[] = $piece;
            } else {
                $laid[] = self::cut($piece, 0, $from - $offset);
                $laid[] = $data->imprint->stretch($data->address + $from - $at, $until - $from);
                $laid[] = self::cut($piece, $until - $offset, $to - $until);
            }
            $offset = $to;
        }

        return array_values(array_filter($laid, fn (Stretch|Noise|Blank $piece): bool => $piece->length() > 0));
    }

    private static function cut(Stretch|Noise|Blank $piece, int $from, int $length): Stretch|Noise|Blank
    {
        return match (true) {
            $piece instanceof Stretch => $piece->imprint->stretch($piece->address + $from, $length),
            $piece instanceof Noise => $piece->part($from, $length),
            default => new Blank($length),
        };
    }
}
