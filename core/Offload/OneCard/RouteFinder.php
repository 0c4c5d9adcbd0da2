<?php

declare(strict_types=1);

namespace Tally\Offload\OneCard;

use Tally\Chain\Ceiling;
use Tally\Chain\Link;
use Tally\Chain\Path;
use Tally\Label\Bus;

/**
 * Every way to bring one card home: reader × host × drive, each over the best ports left.
 *
 * Time is bytes ÷ the slowest usable ceiling of the path, then once more over the way back for verifying.
 */
final readonly class RouteFinder
{
    /**
     * @param  list<ReaderGear>  $readers
     * @param  list<PortGear>  $ports
     * @param  list<DriveGear>  $drives
     */
    public function __construct(private array $readers, private array $ports, private array $drives) {}

    public function find(Source $source): Routes
    {
        $leftOut = [];
        $routes = [];
        $drives = [];
        foreach ($this->drives as $drive) {
            if ($drive->free->count < $source->amount->count) {
                $leftOut[] = "{$drive->name} has {$drive->free->decimal()} free; {$source->amount->decimal()} are to be copied.";
            } else {
                $drives[] = $drive;
            }
        }
        foreach ($this->readers as $reader) {
            $bus = Bus::fastestSettled($source->buses, $reader->buses);
            if ($bus === null) {
                $leftOut[] = "{$reader->name} does not take {$source->connection}.";

                continue;
            }
            foreach ($drives as $drive) {
                foreach ($this->hosts() as $host => $ports) {
                    $route = $this->route($source, $reader, $bus, $host, ports: $ports, drive: $drive);
                    if ($route !== null) {
                        $routes[] = $route;
                    }
                }
            }
        }
        usort(
            $routes,
            fn (Route $a, Route $b): int => [$a->total()->seconds, $a->copy()->seconds, $a->reader, $a->host, $a->drive] <=> [
                $b->total()->seconds,
                $b->copy()->seconds,
                $b->reader,
                $b->host,
                $b->drive,
            ],
        );

        return new Routes($routes, $leftOut);
    }

    /** @return array<string, list<PortGear>> ports of each host, the fastest first */
    private function hosts(): array
    {
        $hosts = [];
        foreach ($this->ports as $port) {
            $hosts[$port->host][] = $port;
        }
        foreach ($hosts as $host => $ports) {
            usort($ports, fn (PortGear $a, PortGear $b): int => $this->usable($b->link) <=> $this->usable($a->link));
            $hosts[$host] = $ports;
        }

        return $hosts;
    }

    /**
     * The best choice of ports on one host: whichever of reader and drive gets the faster one.
     *
     * @param  list<PortGear>  $ports
     */
    private function route(Source $source, ReaderGear $reader, Bus $bus, string $host, array $ports, DriveGear $drive): ?Route
    {
        $pairs = [];
        if ($drive->inside !== null) {
            $pairs = $drive->inside === $host && $ports !== [] ? [[$ports[0], null]] : [];
        } elseif (count($ports) > 1) {
            $pairs = [[$ports[0], $ports[1]], [$ports[1], $ports[0]]];
        }
        $best = null;
        foreach ($pairs as [$readerPort, $drivePort]) {
            $driveLinks = $this->driveLinks($drive, $drivePort);
            $route = new Route(
                $reader->name,
                $host,
                $drive->name,
                new Path([
                    ...CardReach::links($source, $reader, $bus, $readerPort),
                    ...$driveLinks,
                    new Link("{$drive->name} writing", Ceiling::claimed($drive->write, 'its owner’s figure')),
                ]),
                back: new Path([...$driveLinks, new Link("{$drive->name} reading", Ceiling::claimed($drive->read, 'its owner’s figure'))]),
                amount: $source->amount,
            );
            $best = $best === null || $route->total()->seconds < $best->total()->seconds ? $route : $best;
        }

        return $best;
    }

    /** @return list<Link> */
    private function driveLinks(DriveGear $drive, ?PortGear $port): array
    {
        return $port === null
            ? [new Link("{$drive->name} inside {$drive->inside}", $drive->link->ceiling)]
            : [new Link("{$drive->name} at {$port->label()}", $this->slower($drive->link, $port->link))];
    }

    /** A device on a port runs at the slower of the two. */
    private function slower(Link $device, Link $port): Ceiling
    {
        return Link::slowest($device, $port)->ceiling;
    }

    private function usable(Link $link): float
    {
        return $link->ceiling->usable()->bytesPerSecond;
    }
}
