<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Reckon\Network;

/**
 * A question made easier, with all gear in its place: what is left open gets a port of its own as good as the best free one, and
 * all of those together carry what all free ports together can. No plan of the real question is better than the best of this one.
 */
final readonly class Relaxed
{
    private const ALL = 'all free ports';

    public static function network(Question $question): Network
    {
        $open = array_values(array_diff($question->plugged(), array_keys($question->links)));
        if ($open === []) {
            return new Network($question, $question->links);
        }
        // Where a thing may be at several hosts, they count as one, with everything in reach of everything.
        $host = count($question->hosts) === 1 ? $question->hosts[0] : self::merged($question->hosts);
        $isMerged = count($question->hosts) !== 1;
        [$best, $all] = self::freePorts($question);
        $ports = $host->ports;
        $links = $isMerged ? array_map(fn (string $port): string => "{$host->name} {$port}", $question->links) : $question->links;
        foreach ($best > 0 ? $open : [] as $i => $thing) {
            $ports[] = new Port("open {$i}", self::ALL, $best);
            $links[$thing] = "{$host->name} open {$i}";
        }
        $drives = array_map(
            fn (Drive $drive): Drive => $drive->inside === null
                ? $drive
                : $drive->with(inside: $host->name, link: INF),
            $question->drives,
        );
        $easier = new Question(
            [$host->with([...$host->controllers, new Controller(self::ALL, $all)], $ports)],
            $question->readers,
            $drives,
            $question->cards,
            links: $links,
            rules: $question->rules,
        );

        return new Network($easier, $links);
    }

    /** @return array{float, float} bytes a second each way: of the best free port, and of all of them together */
    private static function freePorts(Question $question): array
    {
        [$best, $all] = [0.0, 0.0];
        foreach ($question->hosts as $host) {
            $behind = $ceilings = $sums = [];
            foreach ($host->controllers as $controller) {
                $behind[$controller->name] = $controller->behind;
                $ceilings[$controller->name] = $controller->ceiling;
            }
            foreach ($host->ports as $port) {
                if (in_array("{$host->name} {$port->name}", $question->links, true)) {
                    continue;
                }
                $root = $port->controller;
                while ($root !== null && $behind[$root] !== null) {
                    $root = $behind[$root];
                }
                $best = max($best, $port->ceiling);
                $sums[$root ?? ''] = ($sums[$root ?? ''] ?? 0.0) + $port->ceiling;
            }
            foreach ($sums as $root => $sum) {
                $all += min($sum, $ceilings[$root] ?? INF);
            }
        }

        return [$best, $all];
    }

    /** @param  list<Host>  $hosts */
    private static function merged(array $hosts): Host
    {
        $controllers = $ports = [];
        foreach ($hosts as $host) {
            $called = fn (?string $name): ?string => $name === null ? null : "{$host->name} {$name}";
            foreach ($host->controllers as $one) {
                $controllers[] = new Controller("{$host->name} {$one->name}", $one->ceiling, $one->isHalf, $called($one->behind));
            }
            foreach ($host->ports as $port) {
                $ports[] = new Port("{$host->name} {$port->name}", $called($port->controller), $port->ceiling, $port->isHalf);
            }
        }

        return new Host('all', $controllers, $ports);
    }
}
