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

/** The gear in the books, in the terms of the core. */
final readonly class Rig
{
    /** @return Path|null the chain a card stands on in a slot; null when it does not fit there */
    public static function chain(Card $card, Slot $slot): ?Path
    {
        $bus = $card->label()->settleIn($slot->reader->buses());
        if ($bus === null) {
            return null;
        }
        $slower = Link::slowest($slot->reader->toHost(), $slot->port->asLink());

        return new Path([
            new Link($bus->label().' bus', $bus->ceiling()),
            new Link("{$slot->reader->tag}, {$slower->name}, {$slot->port->host->name} {$slot->port->name}", $slower->ceiling),
        ]);
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
