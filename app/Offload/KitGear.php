<?php

declare(strict_types=1);

namespace App\Offload;

use App\Models\Kit\Adapter;
use App\Models\Kit\Drive as KitDrive;
use App\Models\Kit\Host as KitHost;
use App\Models\Kit\Hub;
use App\Models\Kit\Port as KitPort;
use App\Models\Kit\Reader as KitReader;
use App\Models\Kit\ReaderSlot as KitSlot;
use Illuminate\Support\Collection;
use Tally\Chain\Ceiling;
use Tally\Chain\CeilingOrigin;
use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Basis\RateOf;
use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;

/** The kit of the house in the terms of a plan: every ceiling is the house's own measurement where there is one, else practice. */
final class KitGear
{
    /** How far a figure that was measured once may be off: house default, no source. */
    private const OFF = 0.05;

    /** So much of what somebody says of a drive it gives at the least: house default, no source. */
    private const CLAIMED = 0.85;

    /** @var list<Host> */
    public readonly array $hosts;

    /** @var list<Reader> */
    public readonly array $readers;

    /** @var list<Drive> */
    public readonly array $drives;

    /** @var list<KnownRate> what all of it rests on */
    public array $rates = [];

    /** @var list<list<Bus>> what each slot of the readers speaks */
    public array $spoken = [];

    /** @param  bool  $withPreviews  whether imports build previews */
    private function __construct(bool $withPreviews)
    {
        $hubs = Hub::query()->whereNotNull('port_id')->with('ports')->orderBy('tag')->get()->toBase()->keyBy('port_id');
        $hosts = KitHost::query()->with('ports')->orderBy('name')->get();
        $timed = array_filter($hosts->map(fn (KitHost $host): ?float => $host->previews())->all(), fn (?float $one): bool => $one !== null);
        $slowest = $withPreviews && $timed !== [] ? min($timed) : null;
        $this->hosts = array_values($hosts->map(fn (KitHost $host): Host => $this->host($host, $hubs, $slowest))->all());
        $readers = KitReader::query()->with(['slots', 'cable'])->orderBy('tag')->get();
        $this->readers = array_values($readers->map($this->reader(...))->all());
        $drives = KitDrive::query()->whereNull('gone_on')->orderBy('tag')->get();
        $inside = $hosts->toBase()->mapWithKeys(fn (KitHost $host): array => [$host->id => $host->name]);
        $this->drives = array_values($drives->map(fn (KitDrive $drive): Drive => $this->drive($drive, $inside))->all());
    }

    public static function take(bool $withPreviews): self
    {
        return new self($withPreviews);
    }

    /**
     * Ports of a hub are ports of the host, behind the hub's own link; the port that the hub sits in takes nothing else.
     *
     * @param  Collection<int, Hub>  $hubs  by the port they sit in
     * @param  float|null  $slowest  files a second with previews of the slowest host that was timed; null where none are built
     */
    private function host(KitHost $host, Collection $hubs, ?float $slowest): Host
    {
        $ports = $controllers = $most = [];
        foreach ($host->ports as $port) {
            $link = $port->asLink()->ceiling;
            $ceiling = $link->usable()->bytesPerSecond;
            $most[$port->controller] = max($most[$port->controller] ?? 0.0, $ceiling);
            $hub = $hubs[$port->id] ?? null;
            if ($hub === null) {
                $ports[] = $this->port($host->name, $port->name, $port->controller, $port->link, link: $link);
            } else {
                array_push($ports, ...$this->hub($host->name, $port, $hub, $controllers));
            }
        }
        foreach ($most as $name => $ceiling) {
            // Nobody measured a controller by itself: it carries what its fastest port does. Common practice, no source.
            $controllers[] = new Controller(strval($name), $ceiling);
            $this->rates[] = new KnownRate(
                RateOf::Controller,
                $host->name,
                strval($name),
                $ceiling,
                origin: CeilingOrigin::Practice,
                how: 'taken to carry what its fastest port does',
                low: $ceiling,
                high: $ceiling,
            );
        }

        return new Host($host->name, $controllers, $ports, previews: $slowest === null ? INF : $this->previews($host, $slowest));
    }

    /** @param  float  $slowest  files a second of the slowest host that was timed: one that was not is taken to be no faster */
    private function previews(KitHost $host, float $slowest): float
    {
        $previews = $host->previews();
        if ($previews !== null) {
            $this->measured(RateOf::Previews, $host->name, '', $previews, how: "{$host->preview_files} files timed, {$host->preview_how}");

            return $previews;
        }
        $how = 'not timed: taken to be as slow as the slowest host that was';
        $this->rates[] = new KnownRate(
            RateOf::Previews,
            $host->name,
            '',
            $slowest,
            origin: CeilingOrigin::Practice,
            how: $how,
            low: $slowest,
            high: $slowest,
        );

        return $slowest;
    }

    /**
     * @param  list<Controller>  $controllers  one more
     * @return list<Port>
     */
    private function hub(string $host, KitPort $port, Hub $hub, array &$controllers): array
    {
        $link = $hub->asLink()->ceiling->usable()->isBelow($port->asLink()->ceiling->usable()) ? $hub->asLink() : $port->asLink();
        $isHalf = $hub->uplink === HostLink::Usb2 || $port->link === HostLink::Usb2;
        $controllers[] = new Controller("hub {$hub->tag}", $link->ceiling->usable()->bytesPerSecond, $isHalf, $port->controller);
        $this->ceiling(RateOf::Controller, $host, "hub {$hub->tag}", $link->ceiling);
        $ports = [];
        foreach ($hub->ports as $one) {
            $name = "hub {$hub->tag} {$one->name}";
            $ports[] = $this->port($host, $name, "hub {$hub->tag}", $one->link, link: $one->link->ceiling());
        }

        return $ports;
    }

    private function port(string $host, string $name, string $controller, HostLink $kind, Ceiling $link): Port
    {
        $this->ceiling(RateOf::Port, $host, $name, $link);

        return new Port($name, $controller, $link->usable()->bytesPerSecond, $kind === HostLink::Usb2);
    }

    private function reader(KitReader $reader): Reader
    {
        $slots = $lanes = $adapters = [];
        $low = INF;
        foreach ($reader->slots as $slot) {
            $one = self::slot($slot);
            $this->spoken[] = $slot->spoken();
            $slots[] = $one;
            $lanes[$slot->lane] = max($lanes[$slot->lane] ?? 0.0, ...array_values($one->buses));
            $adapters[] = $slot->adapter;
            $low = min($low, self::leastOf($one));
        }
        $fastest = $lanes === [] ? 0.0 : max($lanes);
        $adapters = array_filter($adapters, fn (?Adapter $one): bool => $one?->measured !== null);
        $how = $adapters === []
            ? 'what its buses give in practice'
            : implode(', ', array_unique(array_map(fn (Adapter $one): string => "{$one->tag}: {$one->measured_how}", $adapters)));
        if ($fastest > 0) {
            $least = min($fastest, $low);
            $this->rates[] = new KnownRate(
                RateOf::Slots,
                $reader->tag,
                '',
                $fastest,
                origin: CeilingOrigin::Practice,
                how: $how,
                low: $least,
                high: $fastest,
            );
        }
        $uplink = $reader->toHost();
        $this->ceiling(RateOf::Uplink, $reader->tag, '', $uplink->ceiling);

        return new Reader($reader->tag, $slots, $lanes, $uplink->ceiling->usable()->bytesPerSecond);
    }

    /** @return float bytes a second that the fastest bus of a slot gives at the least */
    private static function leastOf(ReaderSlot $slot): float
    {
        $least = 0.0;
        foreach (array_keys($slot->buses) as $key) {
            $ceiling = Bus::from($key)->ceiling();
            $least = max($least, ($ceiling->least() ?? $ceiling->usable())->bytesPerSecond);
        }

        return $least;
    }

    /** @param  Collection<int, string>  $hosts  their names */
    private function drive(KitDrive $drive, Collection $hosts): Drive
    {
        $this->claimed(RateOf::DriveWrite, $drive->tag, $drive->write->bytesPerSecond);
        $this->claimed(RateOf::DriveRead, $drive->tag, $drive->read->bytesPerSecond);
        $link = $drive->asLink()->ceiling;
        if ($drive->host_id === null) {
            $this->ceiling(RateOf::DriveLink, $drive->tag, '', $link);
        }

        return new Drive(
            $drive->tag,
            $drive->write->bytesPerSecond,
            $drive->read->bytesPerSecond,
            (float) $drive->free->count,
            cache: (float) ($drive->cache->count ?? 0),
            fast: $drive->cache_write->bytesPerSecond ?? $drive->write->bytesPerSecond,
            kind: $drive->kind,
            inside: $hosts[$drive->host_id ?? 0] ?? null,
            link: $link->usable()->bytesPerSecond,
        );
    }

    /** A slot also takes cards of slower buses, which it falls back to. An adapter in it passes what it passes, and no more. */
    private static function slot(KitSlot $slot): ReaderSlot
    {
        $buses = [];
        $most = $slot->adapter->measured->bytesPerSecond ?? INF;
        foreach (Bus::cases() as $bus) {
            $settled = Bus::fastestSettled([$bus], $slot->spoken());
            if ($settled !== null) {
                $buses[$settled->value] = min($most, $settled->ceiling()->usable()->bytesPerSecond);
            }
        }

        return new ReaderSlot($slot->name, $buses, $slot->lane);
    }

    private function ceiling(RateOf $of, string $thing, string $in, Ceiling $ceiling): void
    {
        $rate = $ceiling->usable()->bytesPerSecond;
        if ($ceiling->origin === CeilingOrigin::Measurement) {
            $this->measured($of, $thing, $in, $rate, how: $ceiling->source);

            return;
        }
        $low = min($rate, $ceiling->least()->bytesPerSecond ?? $rate);
        $this->rates[] = new KnownRate($of, $thing, $in, $rate, origin: $ceiling->origin, how: $ceiling->source, low: $low, high: $rate);
    }

    private function claimed(RateOf $of, string $thing, float $rate): void
    {
        $low = self::CLAIMED * $rate;
        $this->rates[] = new KnownRate(
            $of,
            $thing,
            '',
            $rate,
            origin: CeilingOrigin::Claim,
            how: 'as it stands in the kit',
            low: $low,
            high: $rate,
        );
    }

    private function measured(RateOf $of, string $thing, string $in, float $rate, string $how): void
    {
        $low = (1 - self::OFF) * $rate;
        $this->rates[] = new KnownRate(
            $of,
            $thing,
            $in,
            $rate,
            origin: CeilingOrigin::Measurement,
            how: $how,
            low: $low,
            high: (1 + self::OFF) * $rate,
        );
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
