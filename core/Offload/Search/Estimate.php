<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Scheme;

/**
 * About how late a decision is done, without reckoning it: what every link, drive and slot has to do, as if each were at it
 * without a pause. Hundreds are weighed in the time that a few take to be reckoned.
 */
final class Estimate
{
    /** What comes after cards are free counts so much where that is the goal. */
    private const LATER = 0.2;

    /** @var array<string, int> “host port” → host */
    public array $hostOf = [];

    /** @var list<int> slot → reader */
    public array $readerOf = [];

    /** @var array<int, int|null> drive → host that it is inside */
    private array $inside = [];

    /** @var array<string, string>|null that were asked of last */
    private ?array $links = null;

    /** @var array<int, list<int>> host → drives, by those links */
    private array $drivesAt = [];

    /** @var array<string, int> */
    private array $known = [];

    /** @var array<string, array<int, float>> “slot port” → thing → seconds that a byte from a card takes of it */
    private array $from = [];

    /** @var array<string, array<int, float>> “drive port” → the same of a byte that is kept on it */
    private array $kept = [];

    /** @var array<string, array<int, float>> “drive port” → the same of a byte that is relayed from it */
    private array $given = [];

    /** @var array<int, array<int, float>> card → slot → bytes a second; none where it does not fit */
    public array $own = [];

    public function __construct(private readonly Question $question, private readonly Goal $goal)
    {
        foreach ($question->hosts as $h => $host) {
            foreach ($host->ports as $port) {
                $this->hostOf["{$host->name} {$port->name}"] = $h;
            }
        }
        $hosts = array_flip(array_map(fn ($host): string => $host->name, $question->hosts));
        foreach ($question->drives as $drive) {
            $this->inside[] = $drive->inside === null ? null : $hosts[$drive->inside];
        }
        $slots = 0;
        foreach ($question->readers as $r => $reader) {
            foreach ($reader->slots as $slot) {
                foreach ($question->cards as $c => $card) {
                    $bus = max([0.0, ...array_values(array_intersect_key($slot->buses, array_flip($card->buses)))]);
                    if ($bus > 0) {
                        $this->own[$c][$slots] = min($bus, $card->readIn($reader->name));
                    }
                }
                $this->readerOf[] = $r;
                $slots++;
            }
        }
    }

    /**
     * @param  array<string, string>  $links
     * @return array<int, list<int>> host → drives at it
     */
    public function drivesAt(array $links): array
    {
        if ($links === $this->links) {
            return $this->drivesAt;
        }
        $at = [];
        foreach ($this->question->drives as $d => $drive) {
            $port = $links[$drive->name] ?? null;
            $host = $this->inside[$d] ?? ($port === null ? null : $this->hostOf[$port]);
            if ($host !== null) {
                $at[$host][] = $d;
            }
        }
        [$this->links, $this->drivesAt] = [$links, $at];

        return $at;
    }

    /**
     * @param  array<string, string>  $links
     * @param  array<int, int>  $slots  card → slot; its reader is in a port
     * @param  array<int, array{Scheme, list<int>}>  $ways  card → how, and onto which drives
     * @return float seconds, about; INF where the drives have no room
     */
    public function of(array $links, array $slots, array $ways): float
    {
        $rules = $this->question->rules;
        $readsBack = $rules->readsBack();
        $loads = $inSlot = $chains = $onto = $written = [];
        foreach ($slots as $c => $slot) {
            $card = $this->question->cards[$c];
            $bytes = $card->bytes;
            $extra = $card->files * $rules->overhead;
            [$scheme, $drives] = $ways[$c];
            $isStraight = $scheme === Scheme::Straight;
            $passes = $isStraight ? count($drives) : 1;
            $from = $this->fromSlot($slot, $links);
            $slowest = max([1 / $this->own[$c][$slot], ...$from]);
            foreach ($from as $thing => $seconds) {
                $loads[$thing] = ($loads[$thing] ?? 0.0) + $passes * $bytes * $seconds;
            }
            $stay = $chain = 0.0;
            foreach ($drives as $i => $d) {
                $drive = $this->question->drives[$d];
                $isRelay = $i > 0 && $scheme === Scheme::Relay;
                $weight = $isRelay && $this->goal === Goal::Free ? self::LATER : 1.0;
                foreach ($this->keptOn($d, $links) as $thing => $seconds) {
                    $loads[$thing] = ($loads[$thing] ?? 0.0) + $weight * $bytes * $seconds;
                }
                $onto[$d] = ($onto[$d] ?? 0.0) + $bytes;
                $written[$d] = ($written[$d] ?? 0) + 1;
                $back = $readsBack ? $bytes / $drive->read + $extra : 0.0;
                $write = $bytes * max($slowest, 1 / max($drive->write, $drive->cache > $onto[$d] ? $drive->fast : 0.0)) + $extra;
                if ($isRelay) {
                    foreach ($this->givenBy($drives[0], $links) as $thing => $seconds) {
                        $loads[$thing] = ($loads[$thing] ?? 0.0) + $weight * $bytes * $seconds;
                    }
                    $first = $this->question->drives[$drives[0]];
                    $chain = max($chain, $stay + $bytes * max(1 / $first->read, 1 / $drive->write) + $extra + $back);
                } elseif ($isStraight) {
                    $stay = $i === 0 ? $write : $stay + $write;
                    $chain = $stay + $back;
                } else {
                    $stay = max($stay, $write + ($scheme === Scheme::Relay ? $back : 0.0));
                    $chain = max($chain, $stay + $back);
                }
            }
            $inSlot[$slot] = ($inSlot[$slot] ?? $rules->first - $rules->swap) + $rules->swap +
                ($scheme === Scheme::FanOut && $readsBack ? $chain : $stay);
            $chains[$c] = $rules->first + ($this->goal === Goal::Free ? $stay : $chain);
        }
        foreach ($onto as $d => $bytes) {
            $drive = $this->question->drives[$d];
            if ($bytes > $drive->free) {
                return INF;
            }
            $resource = $this->thing("drive {$d}");
            $loads[$resource] -= $drive->fast > $drive->write ? min($bytes, $drive->cache) * (1 / $drive->write - 1 / $drive->fast) : 0.0;
            // With more than one card on it, most of the time it has two flows.
            $loads[$resource] /= $drive->kind->share($written[$d]);
        }

        // The most of them, and a little of all the others: of two that are alike in the one, the easier is better.
        return self::norm([...$loads, ...$inSlot, ...$chains]) * ($this->goal === Goal::Hands ? 1 + count($slots) - count($inSlot) : 1);
    }

    /** @param  list<float>  $seconds */
    private static function norm(array $seconds): float
    {
        $sum = 0.0;
        foreach ($seconds as $one) {
            $square = $one * $one;
            $square *= $square;
            $sum += $square * $square;
        }

        return $sum ** 0.125;
    }

    private function thing(string $name): int
    {
        return $this->known[$name] ??= count($this->known);
    }

    /**
     * @param  array<string, string>  $links
     * @return array<int, float>
     */
    private function fromSlot(int $slot, array $links): array
    {
        $r = $this->readerOf[$slot];
        $reader = $this->question->readers[$r];
        $port = $links[$reader->name];

        return $this->from["{$slot} {$port}"] ??= $this->newFrom($slot, $r, $port);
    }

    /** @return array<int, float> */
    private function newFrom(int $slot, int $r, string $port): array
    {
        $reader = $this->question->readers[$r];
        $lane = $reader->slots[$slot - (int) array_search($r, $this->readerOf, true)]->lane;
        $uses = $this->through($port, true, INF);
        if ($lane !== null && ($reader->lanes[$lane] ?? INF) < INF) {
            $uses[$this->thing("lane {$r} {$lane}")] = 1 / $reader->lanes[$lane];
        }
        if ($reader->uplink < INF) {
            $uses[$this->thing("uplink {$r}")] = 1 / $reader->uplink;
        }

        return self::plus($uses, $this->hash($this->hostOf[$port]));
    }

    /**
     * @param  array<string, string>  $links
     * @return array<int, float>
     */
    private function keptOn(int $d, array $links): array
    {
        $port = $links[$this->question->drives[$d]->name] ?? '';

        return $this->kept["{$d} {$port}"] ??= $this->newKept($d, $port, $links);
    }

    /**
     * @param  array<string, string>  $links
     * @return array<int, float>
     */
    private function newKept(int $d, string $port, array $links): array
    {
        $drive = $this->question->drives[$d];
        $uses = [$this->thing("drive {$d}") => 1 / $drive->write];
        if ($port !== '') {
            $uses = self::plus($uses, $this->through($port, false, $drive->link));
        }

        return $this->question->rules->readsBack() ? self::plus($uses, $this->givenBy($d, $links)) : $uses;
    }

    /**
     * @param  array<string, string>  $links
     * @return array<int, float>
     */
    private function givenBy(int $d, array $links): array
    {
        $port = $links[$this->question->drives[$d]->name] ?? '';

        return $this->given["{$d} {$port}"] ??= $this->newGiven($this->question->drives[$d], $d, $port);
    }

    /** @return array<int, float> */
    private function newGiven(Drive $drive, int $d, string $port): array
    {
        $uses = $port === '' ? [] : $this->through($port, true, $drive->link);
        $uses = self::plus($uses, $this->hash($this->inside[$d] ?? $this->hostOf[$port] ?? 0));

        return self::plus($uses, [$this->thing("drive {$d}") => 1 / $drive->read]);
    }

    /** @return array<int, float> */
    private function hash(int $host): array
    {
        $most = $this->question->hosts[$host]->hash;

        return $most < INF ? [$this->thing("hash {$host}") => 1 / $most] : [];
    }

    /** @return array<int, float> of a port and all that it hangs on */
    private function through(string $at, bool $isIn, float $link): array
    {
        $host = $this->question->hosts[$this->hostOf[$at]];
        $uses = [];
        foreach ($host->ports as $port) {
            if ("{$host->name} {$port->name}" !== $at) {
                continue;
            }
            $way = $port->isHalf ? 'both' : ($isIn ? 'in' : 'out');
            $uses[$this->thing("port {$at} {$way}")] = 1 / min($port->ceiling, $link);
            $byName = array_column(array_map(fn (Controller $one): array => [$one->name, $one], $host->controllers), 1, 0);
            for ($name = $port->controller; $name !== null; $name = $byName[$name]->behind) {
                $way = $byName[$name]->isHalf ? 'both' : ($isIn ? 'in' : 'out');
                $uses[$this->thing("controller {$host->name} {$name} {$way}")] = 1 / $byName[$name]->ceiling;
            }
        }

        return $uses;
    }

    /**
     * @param  array<int, float>  $one
     * @param  array<int, float>  $other
     * @return array<int, float>
     */
    private static function plus(array $one, array $other): array
    {
        foreach ($other as $thing => $seconds) {
            $one[$thing] = ($one[$thing] ?? 0.0) + $seconds;
        }

        return $one;
    }
}
