<?php

declare(strict_types=1);

namespace App\Gear;

use App\Models\Card;
use App\Models\Drive;
use App\Models\Host;
use App\Models\Port;
use App\Models\Reader;
use App\Models\Slot;
use Tally\Chain\Link;
use Tally\Chain\Path;
use Tally\Offload\DriveGear;
use Tally\Offload\PortGear;
use Tally\Offload\ReaderGear;
use Tally\Offload\RouteFinder;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Verdict\Reach;

/** The gear in the books, in the terms of the core. */
final readonly class Rig
{
    /** @return Path|null the chain a card stands on in a slot; null when it does not fit there */
    public static function chain(Card $card, Slot $slot): ?Path
    {
        return self::chainAt($card, $slot->reader, $slot->port);
    }

    /** @return Path|null the chain it stands on in any reader at any port; null when the reader does not take it */
    public static function chainAt(Card $card, Reader $reader, Port $port): ?Path
    {
        $bus = $card->label()->settleIn($reader->buses());
        if ($bus === null) {
            return null;
        }
        $slower = Link::slowest($reader->toHost(), $port->asLink());

        return new Path([
            new Link($bus->label().' bus', $bus->ceiling()),
            new Link("{$reader->tag}, {$slower->name}, {$port->host->name} {$port->name}", $slower->ceiling),
        ]);
    }

    /** @return list<Reach> how fast each reader of the kit, at the port that serves it best, could show a card to be; the fastest first */
    public static function reaches(Card $card): array
    {
        $ports = Port::query()->with('host')->orderBy('id')->get();
        $reaches = [];
        foreach (Reader::query()->with(['slots', 'cable'])->orderBy('tag')->get() as $reader) {
            $best = null;
            foreach ($ports as $port) {
                $path = self::chainAt($card, $reader, $port);
                if ($path !== null && ($best === null || $best->usable->isBelow($path->usable()))) {
                    $best = new Reach("{$reader->tag} {$reader->name} on {$port->host->name}", $path->usable());
                }
            }
            if ($best !== null) {
                $reaches[] = $best;
            }
        }
        usort($reaches, fn (Reach $a, Reach $b): int => $b->usable->bytesPerSecond <=> $a->usable->bytesPerSecond);

        return $reaches;
    }

    /** The reader of a chain made above, by its tag. */
    public static function readerOf(Path $path): ?string
    {
        return isset($path->links[1]) ? explode(',', $path->links[1]->name)[0] : null;
    }

    public static function routes(): RouteFinder
    {
        return new RouteFinder(
            self::readers(),
            array_merge(...array_values(self::ports())),
            array_values(Drive::query()->with('host')->orderBy('tag')->get()->map(self::drive(...))->all()),
        );
    }

    /** @return list<ReaderGear> */
    public static function readers(): array
    {
        return array_values(Reader::query()->with(['slots', 'cable'])->orderBy('tag')->get()->map(fn (Reader $reader): ReaderGear => new ReaderGear($reader->tag, $reader->buses(), $reader->toHost()))->all());
    }

    /** @return array<string, non-empty-list<PortGear>> by the name of the host */
    public static function ports(): array
    {
        $ports = [];
        foreach (Host::query()->with('ports')->orderBy('name')->get() as $host) {
            foreach ($host->ports as $port) {
                $ports[$host->name][] = self::port($host, $port);
            }
        }

        return $ports;
    }

    private static function port(Host $host, Port $port): PortGear
    {
        return new PortGear($host->name, $port->name, $port->asLink());
    }

    private static function drive(Drive $drive): DriveGear
    {
        return new DriveGear(
            $drive->tag,
            $drive->asLink(),
            Rate::bytesPerSecond($drive->write),
            Rate::bytesPerSecond($drive->read),
            Bytes::of($drive->free),
            $drive->host?->name,
        );
    }
}
