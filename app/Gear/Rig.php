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
        $bus = $card->label()->settleIn(array_values($slot->reader->buses->all()));
        if ($bus === null) {
            return null;
        }
        $uplink = $slot->reader->uplink->ceiling();
        $port = $slot->port->link->ceiling();
        $slower = $port->usable()->isBelow($uplink->usable()) ? $slot->port->link : $slot->reader->uplink;

        return new Path([
            new Link($bus->label().' bus', $bus->ceiling()),
            new Link("{$slot->reader->tag}, {$slower->label()}, {$slot->port->host->name} {$slot->port->name}", $slower->ceiling()),
        ]);
    }

    /** The reader of a chain made above, by its tag. */
    public static function readerOf(Path $path): ?string
    {
        return isset($path->links[1]) ? explode(',', $path->links[1]->name)[0] : null;
    }

    public static function routes(): RouteFinder
    {
        $ports = [];
        foreach (Host::query()->with('ports')->orderBy('name')->get() as $host) {
            foreach ($host->ports as $port) {
                $ports[] = self::port($host, $port);
            }
        }

        return new RouteFinder(
            array_values(Reader::query()->orderBy('tag')->get()->map(fn (Reader $reader): ReaderGear => new ReaderGear($reader->tag, array_values($reader->buses->all()), $reader->uplink))->all()),
            $ports,
            array_values(Drive::query()->with('host')->orderBy('tag')->get()->map(self::drive(...))->all()),
        );
    }

    private static function port(Host $host, Port $port): PortGear
    {
        return new PortGear($host->name, $port->name, $port->link);
    }

    private static function drive(Drive $drive): DriveGear
    {
        return new DriveGear(
            $drive->tag,
            $drive->link,
            Rate::bytesPerSecond($drive->write),
            Rate::bytesPerSecond($drive->read),
            Bytes::of($drive->free),
            $drive->host?->name,
        );
    }
}
