<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;

/** Which reader and which drive goes into which port, where that is left open. */
final readonly class Cabling
{
    /** @return list<string> readers and drives that are not in a port yet */
    public static function open(Question $question): array
    {
        return array_values(array_diff($question->plugged(), array_keys($question->links)));
    }

    /** @return list<string> “host port” of ports that nothing is said to be in */
    public static function freePorts(Question $question): array
    {
        return array_values(array_diff($question->ports(), $question->links));
    }

    /**
     * Good beginnings for each host: what needs most first, or drives, or readers, each time into the port that gives it most where
     * least hangs on the same controller.
     *
     * @return list<array<string, string>> each one all links
     */
    public static function beginnings(Question $question): array
    {
        if (self::open($question) === []) {
            return [$question->links];
        }
        $all = [];
        foreach ($question->hosts as $host) {
            foreach ([1.0, 1e3, 1e-3] as $drivesFirst) {
                $all[] = self::towards($question, $host->name, $drivesFirst);
            }
        }

        return array_values(array_unique($all, SORT_REGULAR));
    }

    /**
     * One host after another, the preferred one first: what is needed there before all, so that every card finds a reader and
     * drives enough beside it, then what else has room.
     *
     * @param  float  $drivesFirst  how much more the needs of drives count than those of readers
     * @return array<string, string>
     */
    private static function towards(Question $question, string $preferred, float $drivesFirst): array
    {
        $links = $question->links;
        $needs = self::needs($question, $drivesFirst);
        $hosts = $question->hosts;
        usort($hosts, fn (Host $one, Host $other): int => [$other->name === $preferred, count($other->ports), $one->name] <=> [
            $one->name === $preferred,
            count($one->ports),
            $other->name,
        ]);
        foreach ($hosts as $host) {
            $isFree = fn (Port $port): bool => ! in_array("{$host->name} {$port->name}", $links, true);
            $free = array_values(array_filter($host->ports, $isFree));
            $open = array_values(array_diff(array_keys($needs), array_keys($links)));
            $chosen = array_slice(self::wanted($question, $host, $links, $open, needs: $needs), 0, count($free));
            usort($chosen, fn (string $one, string $other): int => [$needs[$other], $one] <=> [$needs[$one], $other]);
            $links = self::plug($host, $free, $chosen, $needs, links: $links);
        }

        return $links;
    }

    /** @return array<string, float> what may be plugged in → bytes a second that it can use, drives weighed */
    private static function needs(Question $question, float $drivesFirst): array
    {
        $needs = [];
        foreach ($question->readers as $reader) {
            $needs[$reader->name] = self::needOf($question, $reader);
        }
        foreach ($question->drives as $drive) {
            if ($drive->inside === null) {
                $needs[$drive->name] = $drivesFirst * min($drive->link, max($drive->write, $drive->read, $drive->fast));
            }
        }

        return $needs;
    }

    /**
     * @param  array<string, string>  $links
     * @param  list<string>  $open
     * @param  array<string, float>  $needs
     * @return list<string> the most wanted first
     */
    private static function wanted(Question $question, Host $host, array $links, array $open, array $needs): array
    {
        usort($open, fn (string $one, string $other): int => [$needs[$other], $one] <=> [$needs[$one], $other]);
        $here = fn (string $thing): bool => str_starts_with($links[$thing] ?? '', "{$host->name} ");
        $drives = count(array_filter($question->drives, fn (Drive $drive): bool => $drive->inside === $host->name || $here($drive->name)));
        $isDrive = array_fill_keys(array_map(fn (Drive $drive): string => $drive->name, $question->drives), true);
        $first = [];
        foreach ($open as $thing) {
            if (isset($isDrive[$thing]) && $drives < $question->rules->copies) {
                $first[] = $thing;
                $drives++;
            }
        }
        // Readers by the cards that no other takes yet, wherever it is.
        $missing = $question->cards;
        foreach ($question->readers as $reader) {
            if (isset($links[$reader->name])) {
                $missing = array_filter($missing, fn (LadenCard $card): bool => ! self::takes($reader, $card));
            }
        }
        while ($missing !== []) {
            [$best, $most] = [null, 0.0];
            foreach ($question->readers as $reader) {
                $gain = array_sum(array_map(fn (LadenCard $card): float => self::takes($reader, $card) ? 1 + $card->bytes : 0.0, $missing));
                $gain *= 1 + 1e-12 * ($needs[$reader->name] ?? 0.0);
                if ($gain > $most && in_array($reader->name, $open, true) && ! in_array($reader->name, $first, true)) {
                    [$best, $most] = [$reader, $gain];
                }
            }
            if ($best === null) {
                break;
            }
            $first[] = $best->name;
            $missing = array_filter($missing, fn (LadenCard $card): bool => ! self::takes($best, $card));
        }

        return [...$first, ...array_values(array_diff($open, $first))];
    }

    /**
     * Each into the port that gives it most, where least hangs on the same controller.
     *
     * @param  list<Port>  $free
     * @param  list<string>  $chosen
     * @param  array<string, float>  $needs
     * @param  array<string, string>  $links
     * @return array<string, string>
     */
    private static function plug(Host $host, array $free, array $chosen, array $needs, array $links): array
    {
        $taken = [];
        foreach ($chosen as $thing) {
            $best = null;
            foreach ($free as $port) {
                $ceiling = $port->isHalf ? $port->ceiling / 2 : $port->ceiling;
                $rank = [min($ceiling, $needs[$thing]), -($taken[$port->controller ?? ''] ?? 0), -$ceiling, $port->name];
                if (! in_array("{$host->name} {$port->name}", $links, true) && ($best === null || $rank > $best[0])) {
                    $best = [$rank, $port];
                }
            }
            if ($best !== null) {
                $links[$thing] = "{$host->name} {$best[1]->name}";
                $taken[$best[1]->controller ?? ''] = ($taken[$best[1]->controller ?? ''] ?? 0) + 1;
            }
        }

        return $links;
    }

    private static function takes(Reader $reader, LadenCard $card): bool
    {
        foreach ($reader->slots as $slot) {
            if (array_intersect_key($slot->buses, array_flip($card->buses)) !== []) {
                return true;
            }
        }

        return false;
    }

    /** What a reader carries with all slots full, of the cards that there are. */
    private static function needOf(Question $question, Reader $reader): float
    {
        $lanes = [];
        foreach ($reader->slots as $i => $slot) {
            $most = 0.0;
            foreach ($question->cards as $card) {
                foreach ($card->buses as $bus) {
                    $most = max($most, min($slot->buses[$bus] ?? 0.0, $card->readIn($reader->name)));
                }
            }
            $lane = $slot->lane ?? "slot {$i}";
            $lanes[$lane] = min(($lanes[$lane] ?? 0.0) + $most, $slot->lane === null ? INF : $reader->lanes[$slot->lane] ?? INF);
        }

        return min($reader->uplink, array_sum($lanes));
    }
}
