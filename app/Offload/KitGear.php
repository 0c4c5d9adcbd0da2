<?php

declare(strict_types=1);

namespace App\Offload;

use App\Models\Kit\Drive as KitDrive;
use App\Models\Kit\Host as KitHost;
use App\Models\Kit\Port as KitPort;
use App\Models\Kit\Reader as KitReader;
use App\Models\Kit\ReaderSlot as KitSlot;
use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;

/** The kit of the house in the terms of a plan: every ceiling is the house's own measurement where there is one, else practice. */
final readonly class KitGear
{
    /** @return list<Host> */
    public static function hosts(): array
    {
        return array_values(
            KitHost::query()
                ->with('ports')
                ->orderBy('name')
                ->get()
                ->map(function (KitHost $host): Host {
                    $ports = $most = [];
                    foreach ($host->ports as $port) {
                        $ceiling = $port->asLink()->ceiling->usable()->bytesPerSecond;
                        $ports[] = self::port($port, $ceiling);
                        $most[$port->controller] = max($most[$port->controller] ?? 0.0, $ceiling);
                    }
                    // Nobody measured a controller by itself: it carries what its fastest port does. Common practice, no source.
                    $controllers = array_map(
                        fn (string $name, float $ceiling): Controller => new Controller($name, $ceiling),
                        array_map(strval(...), array_keys($most)),
                        array_values($most),
                    );

                    return new Host($host->name, $controllers, $ports);
                })
                ->all(),
        );
    }

    /** @return list<Reader> */
    public static function readers(): array
    {
        return array_values(
            KitReader::query()
                ->with(['slots', 'cable'])
                ->orderBy('tag')
                ->get()
                ->map(function (KitReader $reader): Reader {
                    $slots = $lanes = [];
                    foreach ($reader->slots as $slot) {
                        $one = self::slot($slot);
                        $slots[] = $one;
                        $lanes[$slot->lane] = max($lanes[$slot->lane] ?? 0.0, ...array_values($one->buses));
                    }

                    return new Reader($reader->tag, $slots, $lanes, $reader->toHost()->ceiling->usable()->bytesPerSecond);
                })
                ->all(),
        );
    }

    /** @return list<Drive> */
    public static function drives(): array
    {
        return array_values(
            KitDrive::query()
                ->with('host')
                ->orderBy('tag')
                ->get()
                ->map(
                    fn (KitDrive $drive): Drive => new Drive(
                        $drive->tag,
                        $drive->write->bytesPerSecond,
                        $drive->read->bytesPerSecond,
                        (float) $drive->free->count,
                        (float) ($drive->cache->count ?? 0),
                        $drive->cache_write->bytesPerSecond ?? $drive->write->bytesPerSecond,
                        $drive->spinning,
                        $drive->host?->name,
                        $drive->asLink()->ceiling->usable()->bytesPerSecond,
                    ),
                )
                ->all(),
        );
    }

    private static function port(KitPort $port, float $ceiling): Port
    {
        return new Port($port->name, $port->controller, $ceiling, $port->link === HostLink::Usb2);
    }

    private static function slot(KitSlot $slot): ReaderSlot
    {
        $buses = [];
        // A slot also takes cards of slower buses, which it falls back to.
        foreach (Bus::cases() as $bus) {
            $settled = Bus::fastestSettled([$bus], array_values($slot->buses->all()));
            if ($settled !== null) {
                $buses[$settled->value] = $settled->ceiling()->usable()->bytesPerSecond;
            }
        }

        return new ReaderSlot($slot->name, $buses, $slot->lane);
    }

    /** @return list<list<Bus>> what each slot of the kit speaks */
    public static function spoken(): array
    {
        return array_values(KitSlot::query()->get()->toBase()->map(fn (KitSlot $slot): array => array_values($slot->buses->all()))->all());
    }

    /**
     * Which bus a card settles on in each slot, by their keys.
     *
     * @param  list<Bus>  $possible  that the card may have
     * @param  list<list<Bus>>  $spoken  by each slot
     * @return list<string>
     */
    public static function settled(array $possible, array $spoken): array
    {
        $settled = [];
        foreach ($spoken as $slot) {
            $bus = Bus::fastestSettled($possible, $slot);
            if ($bus !== null) {
                $settled[$bus->value] = $bus->value;
            }
        }

        return array_values($settled);
    }
}
