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
     * A good beginning for each host: what needs most first, each time into the port that gives it most where least hangs on the
     * same controller.
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
            $all[] = self::towards($question, $host->name);
        }

        return array_values(array_unique($all, SORT_REGULAR));
    }

    /** @return array<string, string> */
    private static function towards(Question $question, string $preferred): array
    {
        $links = $question->links;
        $needs = [];
        foreach ($question->readers as $reader) {
            $needs[$reader->name] = self::needOf($reader);
        }
        foreach ($question->drives as $drive) {
            $needs[$drive->name] = min($drive->link, max($drive->write, $drive->read, $drive->fast));
        }
        $open = self::open($question);
        usort($open, fn (string $one, string $other): int => [$needs[$other], $one] <=> [$needs[$one], $other]);
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

    /** What a reader could carry with all slots full. */
    private static function needOf(Reader $reader): float
    {
        $slots = 0.0;
        foreach ($reader->slots as $slot) {
            $slots += $slot->buses === [] ? 0.0 : max($slot->buses);
        }

        return min($reader->uplink, $slots);
    }
}
