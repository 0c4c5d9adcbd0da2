<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

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
     * @param  float  $drivesFirst  how much more the needs of drives count than those of readers
     * @return array<string, string>
     */
    private static function towards(Question $question, string $preferred, float $drivesFirst): array
    {
        $links = $question->links;
        $needs = $isDrive = [];
        foreach ($question->readers as $reader) {
            $needs[$reader->name] = self::needOf($question, $reader);
        }
        foreach ($question->drives as $drive) {
            $needs[$drive->name] = min($drive->link, max($drive->write, $drive->read, $drive->fast));
            $isDrive[$drive->name] = true;
        }
        $open = self::open($question);
        $rank = fn (string $thing): float => $needs[$thing] * (isset($isDrive[$thing]) ? $drivesFirst : 1.0);
        usort($open, fn (string $one, string $other): int => [$rank($other), $one] <=> [$rank($one), $other]);
        $taken = [];
        foreach ($open as $thing) {
            $best = null;
            foreach ($question->hosts as $host) {
                foreach ($host->ports as $port) {
                    $name = "{$host->name} {$port->name}";
                    if (in_array($name, $links, true)) {
                        continue;
                    }
                    $shared = $taken["{$host->name} {$port->controller}"] ?? 0;
                    $ceiling = $port->isHalf ? $port->ceiling / 2 : $port->ceiling;
                    $rank = [$host->name === $preferred ? 1 : 0, min($ceiling, $needs[$thing]), -$shared, -$ceiling, $name];
                    if ($best === null || $rank > $best[0]) {
                        $best = [$rank, $name, "{$host->name} {$port->controller}"];
                    }
                }
            }
            if ($best !== null) {
                $links[$thing] = $best[1];
                $taken[$best[2]] = ($taken[$best[2]] ?? 0) + 1;
            }
        }

        return $links;
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
