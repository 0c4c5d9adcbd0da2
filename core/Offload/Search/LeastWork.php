<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\Question\Scheme;
use Tally\Offload\Reckon\FlowPath;
use Tally\Offload\Reckon\Network;

/** What every link, drive and slot must do at the least, weighed against one another. Times are seconds. */
final class LeastWork
{
    /** @var array<int, list<int>> card → slots that take it */
    private array $slots = [];

    /** @var array<int, non-empty-list<int>> host → drives at it, enough of them for all copies */
    private array $drives = [];

    /** @var array<string, float> “card slot scheme” → how long it is in it at the least, and the swap after it */
    private array $stays = [];

    /** @var array<int, array<int, float>> slot → resource → seconds that a byte takes of it */
    private array $fromCard = [];

    /** @var array<int, array<int, float>> drive → the same of a byte that is copied to it and read back */
    private array $kept = [];

    /** @var array<int, array<int, float>> drive → the same of a byte that is relayed from it */
    private array $given = [];

    /** @var array<int, float> thing → seconds that it is spared whatever is chosen */
    private array $spared = [];

    private readonly OwnTimes $own;

    private function __construct(private readonly Network $network)
    {
        $this->own = new OwnTimes($network);
        $rules = $network->question->rules;
        foreach ($network->driveHost as $drive => $host) {
            if ($host !== null) {
                $this->drives[$host][] = $drive;
            }
        }
        $this->drives = array_filter($this->drives, fn (array $drives): bool => count($drives) >= $rules->copies);
        foreach ($network->question->drives as $d => $drive) {
            if ($network->driveHost[$d] !== null) {
                $this->given[$d] = self::perByte($network, $network->readBack($d)) + [$network->driveResource[$d] => 1 / $drive->read];
                $write = self::perByte($network, $network->intoDrive($d)) + [$network->driveResource[$d] => 1 / $drive->write];
                $this->kept[$d] = $rules->readsBack() ? self::plus($write, $this->given[$d]) : $write;
            }
            if ($drive->cache > 0 && $drive->fast > $drive->write) {
                $this->spared[$network->driveResource[$d]] = $drive->cache * (1 / $drive->write - 1 / $drive->fast);
            }
        }
    }

    /** @return self|null null where some card goes nowhere */
    public static function of(Network $network): ?self
    {
        $work = new self($network);
        foreach (array_keys($network->slots) as $slot) {
            $path = $network->fromSlot($slot);
            $work->fromCard[$slot] = $path === null ? [] : self::perByte($network, $path);
        }
        // Only now are all resources known, behind which the slots are numbered.
        $first = count($network->capacities);
        foreach (array_keys($network->slots) as $slot) {
            $work->spared[$first + $slot] = $network->question->rules->swap;
        }
        foreach (array_keys($network->question->cards) as $card) {
            $work->slots[$card] = [];
            foreach (array_keys($network->slots) as $slot) {
                $drives = $work->drives[$network->hostOfSlot($slot) ?? -1] ?? [];
                if ($drives === [] || ! $network->takes($card, $slot)) {
                    continue;
                }
                $work->slots[$card][] = $slot;
                foreach ($network->question->rules->schemes() as $scheme) {
                    $work->stays["{$card} {$slot} {$scheme->value}"] =
                        $work->own->stay($card, $slot, $scheme, $drives) + $network->question->rules->swap;
                }
            }
            if ($work->slots[$card] === []) {
                return null;
            }
        }

        return $work;
    }

    /** How many choices are weighed in one round: what it takes. */
    public function size(): int
    {
        return array_sum(array_map(count(...), $this->slots)) * count($this->network->question->rules->schemes());
    }

    /** @return list<int> resources, and behind them the slots */
    public function things(): array
    {
        return range(0, count($this->network->capacities) + count($this->network->slots) - 1);
    }

    /** No plan is done before its longest card, with everything to itself, is safe. */
    public function longestAlone(): float
    {
        $longest = 0.0;
        foreach ($this->slots as $card => $slots) {
            $longest = max($longest, $this->alone($card, $slots));
        }

        return $this->network->question->rules->first + $longest;
    }

    /** Nor before hands have put every card in, and the last of them is safe. */
    public function handsAlone(): float
    {
        $rules = $this->network->question->rules;
        $cards = count($this->slots);
        $firsts = min($cards, count(array_unique(array_merge(...array_values($this->slots)))));
        $work = $rules->swap < $rules->first
            ? $rules->first + ($cards - 1) * $rules->swap
            : $firsts * $rules->first + ($cards - $firsts) * $rules->swap;
        $shortest = INF;
        foreach ($this->slots as $card => $slots) {
            $shortest = min($shortest, $this->alone($card, $slots));
        }

        return $work / $rules->hands + ($shortest === INF ? 0.0 : $shortest);
    }

    /**
     * What no choice avoids under these weights.
     *
     * @param  array<int, float>  $weights  thing → how much it counts; together 1
     * @return array{float, array<int, float>, array<int, array{int, Scheme, list<int>}>} weighed seconds, what each thing has to do by
     *                                                                                    the choices that avoid most, and these: card →
     *                                                                                    slot, scheme, drives
     */
    public function under(array $weights): array
    {
        $rules = $this->network->question->rules;
        $loads = array_fill_keys(array_keys($weights), 0.0);
        $choices = [];
        $sum = 0.0;
        foreach ($this->spared as $thing => $seconds) {
            $sum -= $weights[$thing] * $seconds;
            $loads[$thing] -= $seconds;
        }
        $pass = array_map(fn (array $uses): float => self::weighed($uses, $weights), $this->fromCard);
        $onto = array_map(fn (array $drives): array => $this->onto($drives, $weights), $this->drives);
        $first = count($this->network->capacities);
        foreach ($this->slots as $card => $slots) {
            $bytes = $this->network->question->cards[$card]->bytes;
            [$least, $best] = [INF, null];
            foreach ($slots as $slot) {
                $host = (int) $this->network->hostOfSlot($slot);
                foreach ($rules->schemes() as $scheme) {
                    $passes = $scheme === Scheme::Straight ? $rules->copies : 1;
                    $weight =
                        $bytes * ($passes * $pass[$slot] + $onto[$host][$scheme->value][0]) +
                        $weights[$first + $slot] * $this->stays["{$card} {$slot} {$scheme->value}"];
                    if ($weight < $least) {
                        [$least, $best] = [$weight, [$slot, $scheme, $passes, $host]];
                    }
                }
            }
            if ($best === null) {
                continue;
            }
            $sum += $least;
            [$slot, $scheme, , $host] = $best;
            foreach ($this->uses($card, $slot, $scheme, $onto[$host][$scheme->value][1]) as $thing => $seconds) {
                $loads[$thing] += $seconds;
            }
            $choices[$card] = [$slot, $scheme, $onto[$host][$scheme->value][1]];
        }

        return [$sum, $loads, $choices];
    }

    /**
     * The cheapest way of a byte onto as many drives as there are copies.
     *
     * @param  list<int>  $drives
     * @param  array<int, float>  $weights
     * @return array<string, array{float, list<int>}> scheme → its weight, and the drives
     */
    private function onto(array $drives, array $weights): array
    {
        $copies = $this->network->question->rules->copies;
        $kept = [];
        foreach ($drives as $drive) {
            $kept[$drive] = self::weighed($this->kept[$drive], $weights);
        }
        asort($kept);
        $cheapest = array_slice(array_keys($kept), 0, $copies);
        $ways = [];
        foreach ($this->network->question->rules->schemes() as $scheme) {
            [$weight, $chosen] = [array_sum(array_slice($kept, 0, $copies)), $cheapest];
            if ($scheme === Scheme::Relay) {
                $weight = INF;
                foreach ($drives as $drive) {
                    $others = $kept;
                    unset($others[$drive]);
                    $others = array_slice($others, 0, $copies - 1, true);
                    $all = $kept[$drive] + array_sum($others) + ($copies - 1) * self::weighed($this->given[$drive], $weights);
                    if ($all < $weight) {
                        [$weight, $chosen] = [$all, [$drive, ...array_keys($others)]];
                    }
                }
            }
            $ways[$scheme->value] = [$weight, $chosen];
        }

        return $ways;
    }

    /**
     * What a choice for a card takes of everything.
     *
     * @param  list<int>  $drives  the first is the one that a relay reads from
     * @return array<int, float> thing → seconds
     */
    public function uses(int $card, int $slot, Scheme $scheme, array $drives): array
    {
        $bytes = $this->network->question->cards[$card]->bytes;
        $passes = $scheme === Scheme::Straight ? count($drives) : 1;
        $uses = [count($this->network->capacities) + $slot => $this->stays["{$card} {$slot} {$scheme->value}"]];
        $uses = self::plus($uses, $this->fromCard[$slot], $passes * $bytes);
        foreach ($drives as $place => $drive) {
            $uses = self::plus($uses, $this->kept[$drive], $bytes);
            if ($scheme === Scheme::Relay && $place > 0) {
                $uses = self::plus($uses, $this->given[$drives[0]], $bytes);
            }
        }

        return $uses;
    }

    /** @return array<int, float> thing → seconds that it is spared whatever is chosen */
    public function spared(): array
    {
        return $this->spared;
    }

    /** @return list<array{int, Scheme, list<int>}> all that can be chosen for a card: slot, scheme, drives */
    public function choices(int $card): array
    {
        $all = [];
        foreach ($this->slots[$card] as $slot) {
            $here = $this->drives[$this->network->hostOfSlot($slot) ?? -1] ?? [];
            foreach (Ways::of($this->network->question->rules, $here) as [$scheme, $drives]) {
                $all[] = [$slot, $scheme, $drives];
            }
        }

        return $all;
    }

    /** @param  list<int>  $slots */
    private function alone(int $card, array $slots): float
    {
        $least = INF;
        foreach ($slots as $slot) {
            $least = min($least, $this->own->safe($card, $slot, $this->drives[$this->network->hostOfSlot($slot) ?? -1] ?? []));
        }

        return $least;
    }

    /** @return array<int, float> */
    private static function perByte(Network $network, FlowPath $path): array
    {
        $uses = [];
        foreach ($path->times as $resource => $times) {
            $uses[$resource] = $times / $network->capacities[$resource];
        }

        return $uses;
    }

    /**
     * @param  array<int, float>  $one
     * @param  array<int, float>  $other
     * @return array<int, float>
     */
    private static function plus(array $one, array $other, float $times = 1.0): array
    {
        foreach ($other as $thing => $seconds) {
            $one[$thing] = ($one[$thing] ?? 0.0) + $times * $seconds;
        }

        return $one;
    }

    /**
     * @param  array<int, float>  $uses
     * @param  array<int, float>  $weights
     */
    private static function weighed(array $uses, array $weights): float
    {
        $sum = 0.0;
        foreach ($uses as $thing => $seconds) {
            $sum += $weights[$thing] * $seconds;
        }

        return $sum;
    }
}
