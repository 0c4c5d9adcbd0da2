<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\Question;

/**
 * The gear of a question, cabled: what each flow passes, as numbers of resources. Made once for a choice of links; thousands
 * of decisions are reckoned on it.
 */
final class Network
{
    private const MOST_SHARED = 50_000;

    /** @var array<int, float> resource → bytes a second, or 1 for a drive */
    public array $capacities = [];

    /** @var array<int, string> resource → what it is called */
    public array $names = [];

    /** @var array<int, Part> resource → the gear that it is */
    public array $parts = [];

    /** @var list<int> drive → its resource */
    public array $driveResource = [];

    /** @var list<int|null> drive → the host that it is at; null where it is of no use */
    public array $driveHost = [];

    /** @var list<array{int, int}> slot → reader, slot of it */
    public array $slots = [];

    /** @var list<string> slot → “reader slot” */
    public array $slotNames = [];

    /** @var array<string, int> what a resource is → its number */
    private array $known = [];

    /** @var list<array{int, int}|null> reader → host and port; null where it is in none */
    private array $readerPort = [];

    /** @var list<list<int>> drive → what is passed when it is written */
    private array $wayIn = [];

    /** @var list<list<int>> drive → what is passed when it is read */
    private array $wayOut = [];

    /** @var array<string, FlowPath|null> */
    private array $paths = [];

    /** @var array<string, FlowType> */
    private array $types = [];

    /** @var array<string, array<int, float>> which flows go at once → type → bytes a second */
    private array $shared = [];

    /** @param  array<string, string>  $links  reader or drive → “host port” */
    public function __construct(public readonly Question $question, array $links)
    {
        $ports = [];
        foreach ($question->hosts as $h => $host) {
            foreach ($host->ports as $p => $port) {
                $ports["{$host->name} {$port->name}"] = [$h, $p];
            }
        }
        foreach ($question->readers as $r => $reader) {
            $this->readerPort[] = isset($links[$reader->name]) ? $ports[$links[$reader->name]] ?? null : null;
            foreach ($reader->slots as $s => $slot) {
                $this->slots[] = [$r, $s];
                $this->slotNames[] = "{$reader->name} {$slot->name}";
            }
        }
        foreach (array_keys($question->hosts) as $host) {
            $this->previews($host);
        }
        $hosts = array_flip(array_map(fn (Host $host): string => $host->name, $question->hosts));
        foreach ($question->drives as $d => $drive) {
            $port = $drive->inside === null && isset($links[$drive->name]) ? $ports[$links[$drive->name]] ?? null : null;
            $this->driveHost[] = $drive->inside === null ? $port[0] ?? null : $hosts[$drive->inside];
            $this->driveResource[] = $this->resource("drive {$d}", 1.0, $drive->name, new Part(PartKind::Drive, $d));
            $this->wayIn[] = $port === null ? [] : $this->throughPort($port, false, $drive->link);
            $this->wayOut[] = $port === null ? [] : $this->throughPort($port, true, $drive->link);
        }
    }

    /** Whether the card fits this slot, and the slot's reader is plugged in. */
    public function takes(int $card, int $slot): bool
    {
        return $this->fromCard($card, $slot) !== null;
    }

    /** @return float bytes a second that the card gives in this slot with all else out of the way; 0 where it does not fit */
    public function ownRate(int $card, int $slot): float
    {
        return $this->fromCard($card, $slot)[0] ?? 0.0;
    }

    /** The host that a slot's reader is plugged into; null where it is in no port. */
    public function hostOfSlot(int $slot): ?int
    {
        return $this->readerPort[$this->slots[$slot][0]][0] ?? null;
    }

    /**
     * A copy from a card in a slot to drives of the same host.
     *
     * @param  list<int>  $drives
     * @param  bool  $isImport  whether it is the first from this card: only that builds previews
     */
    public function copy(int $card, int $slot, array $drives, bool $isImport = false): ?FlowPath
    {
        sort($drives);
        $key = "{$card} {$slot} ".implode(' ', $drives).($isImport ? ' import' : '');
        if (! array_key_exists($key, $this->paths)) {
            $from = $this->fromCard($card, $slot);
            $ids = $from === null ? [] : $from[1];
            foreach ($drives as $drive) {
                array_push($ids, ...$this->wayIn[$drive]);
            }
            $path = $from === null ? null : $this->path($from[0], $ids);
            $this->paths[$key] = $path === null || ! $isImport ? $path : $this->withPreviews($path, $card, $slot);
        }

        return $this->paths[$key];
    }

    public function readBack(int $drive): FlowPath
    {
        $host = $this->driveHost[$drive] ?? 0;

        return $this->paths["back {$drive}"] ??= $this->path(INF, [...$this->wayOut[$drive], ...$this->hash($host)]);
    }

    /** What is passed by whatever comes from a card in this slot; null where its reader is in no port. */
    public function fromSlot(int $slot): ?FlowPath
    {
        $ids = $this->upFrom($slot);

        return $ids === null ? null : $this->path(INF, $ids);
    }

    /** What is passed by whatever is written to this drive. */
    public function intoDrive(int $drive): FlowPath
    {
        return $this->path(INF, $this->wayIn[$drive]);
    }

    public function relay(int $from, int $to): FlowPath
    {
        $host = $this->driveHost[$from] ?? 0;

        return $this->paths["relay {$from} {$to}"] ??=
            $this->path(INF, [...$this->wayOut[$from], ...$this->wayIn[$to], ...$this->hash($host)]);
    }

    /**
     * @param  string  $key  what tells its way from others
     * @param  array<int, float>  $writes  drive → bytes a second that it takes just now
     */
    public function type(string $key, int $card, FlowPath $path, array $writes, ?int $reads): FlowType
    {
        $key .= " {$card}";
        foreach ($writes as $drive => $rate) {
            $key .= " {$drive}:{$rate}";
        }

        return $this->types[$key] ??= $this->newType($card, $path, $writes, $reads);
    }

    /**
     * How fast flows go that go at once. Much the same ones do so in all decisions, so that it is reckoned once for each.
     *
     * @param  array<int, FlowType>  $types  by their number
     * @param  array<int, float>  $capacities  as they are just now, which these flows decide
     * @return array<int, float> type → bytes a second
     */
    public function rates(array $types, array $capacities): array
    {
        ksort($types);
        $key = implode(' ', array_keys($types));
        if (! isset($this->shared[$key])) {
            $limits = $uses = [];
            foreach ($types as $id => $type) {
                $limits[$id] = $type->limit;
                $uses[$id] = $type->uses;
            }
            if (count($this->shared) >= self::MOST_SHARED) {
                $this->shared = [];
            }
            $this->shared[$key] = MaxMin::rates($limits, $uses, $capacities);
        }

        return $this->shared[$key];
    }

    /** @param  array<int, float>  $writes */
    private function newType(int $card, FlowPath $path, array $writes, ?int $reads): FlowType
    {
        $uses = $path->times;
        $most = $path->ceiling;
        foreach ($writes as $drive => $rate) {
            $uses[$this->driveResource[$drive]] = 1 / $rate;
            $most = min($most, $rate);
        }
        if ($reads !== null) {
            $rate = $this->question->drives[$reads]->read;
            $uses[$this->driveResource[$reads]] = 1 / $rate;
            $most = min($most, $rate);
        }
        // A flow of many files cannot do all of it: each costs something on top of its bytes.
        $one = $this->question->cards[$card];
        $extra = $one->files * $this->question->rules->overhead;

        return new FlowType(count($this->types), $extra > 0 ? $one->bytes / ($one->bytes / $most + $extra) : $most, $uses);
    }

    /** @return array{float, list<int>}|null the card's own ceiling there, and what is passed up to the host */
    private function fromCard(int $card, int $slot): ?array
    {
        [$r, $s] = $this->slots[$slot];
        $reader = $this->question->readers[$r];
        $one = $this->question->cards[$card];
        $bus = 0.0;
        foreach ($one->buses as $name) {
            $bus = max($bus, $reader->slots[$s]->buses[$name] ?? 0.0);
        }
        $ids = $bus > 0.0 ? $this->upFrom($slot) : null;

        return $ids === null ? null : [min($bus, $one->readIn($reader->name)), $ids];
    }

    /** @return list<int>|null what is passed from a slot to its host; null where its reader is in no port */
    private function upFrom(int $slot): ?array
    {
        [$r, $s] = $this->slots[$slot];
        $port = $this->readerPort[$r];
        if ($port === null) {
            return null;
        }
        $reader = $this->question->readers[$r];
        $lane = $reader->slots[$s]->lane;
        $ceiling = $lane === null ? INF : $reader->lanes[$lane] ?? INF;
        $part = new Part(PartKind::Lane, $r);
        $ids = $ceiling < INF ? [$this->resource("lane {$r} {$lane}", $ceiling, "lane {$lane} of {$reader->name}", $part)] : [];
        if ($reader->uplink < INF) {
            $ids[] = $this->resource("uplink {$r}", $reader->uplink, "link of {$reader->name}", new Part(PartKind::Uplink, $r));
        }

        return [...$ids, ...$this->throughPort($port, true, INF), ...$this->hash($port[0])];
    }

    /**
     * @param  array{int, int}  $at  host and port
     * @param  bool  $isIn  towards the host
     * @param  float  $link  of what is plugged in there
     * @return list<int>
     */
    private function throughPort(array $at, bool $isIn, float $link): array
    {
        [$h, $p] = $at;
        $host = $this->question->hosts[$h];
        $port = $host->ports[$p];
        $ids = [];
        $ceiling = min($port->ceiling, $link);
        if ($ceiling < INF) {
            $way = $port->isHalf ? 'both' : ($isIn ? 'in' : 'out');
            $ids[] = $this->resource("port {$h} {$p} {$way}", $ceiling, "{$port->name} of {$host->name}", new Part(PartKind::Port, $h, $p));
        }
        $controllers = array_combine(
            array_map(fn (Controller $controller): string => $controller->name, $host->controllers),
            $host->controllers,
        );
        for ($name = $port->controller; $name !== null; $name = $controllers[$name]->behind) {
            $controller = $controllers[$name];
            if ($controller->ceiling < INF) {
                $way = $controller->isHalf ? 'both' : ($isIn ? 'in' : 'out');
                $part = new Part(PartKind::Controller, $h, $name);
                $called = "controller {$name} of {$host->name}";
                $ids[] = $this->resource("controller {$h} {$name} {$way}", $controller->ceiling, $called, $part);
            }
        }

        return $ids;
    }

    /** Previews are built while the copy goes on, out of files a second that all imports of the host share. */
    private function withPreviews(FlowPath $path, int $card, int $slot): FlowPath
    {
        $one = $this->question->cards[$card];
        $host = (int) $this->hostOfSlot($slot);
        $resource = $one->files === 0 || $one->bytes <= 0 ? null : $this->previews($host);

        return $resource === null ? $path : new FlowPath($path->ceiling, $path->times + [$resource => $one->files / $one->bytes]);
    }

    private function previews(int $host): ?int
    {
        $one = $this->question->hosts[$host];

        return $one->previews === INF
            ? null
            : $this->resource("previews {$host}", $one->previews, "previews on {$one->name}", new Part(PartKind::Previews, $host));
    }

    /** @return list<int> */
    private function hash(int $host): array
    {
        $most = $this->question->hosts[$host]->hash ?? INF;

        $name = "checksums on {$this->question->hosts[$host]->name}";

        return $most < INF ? [$this->resource("hash {$host}", $most, $name, new Part(PartKind::Hash, $host))] : [];
    }

    private function resource(string $what, float $capacity, string $name, Part $part): int
    {
        if (! isset($this->known[$what])) {
            $this->known[$what] = count($this->known);
            $this->capacities[$this->known[$what]] = $capacity;
            $this->names[$this->known[$what]] = $name;
            $this->parts[$this->known[$what]] = $part;
        }

        return $this->known[$what];
    }

    /** @param  list<int>  $ids  with those twice that are passed twice */
    private function path(float $own, array $ids): FlowPath
    {
        $times = array_count_values($ids);
        foreach ($times as $id => $count) {
            $own = min($own, $this->capacities[$id] / $count);
        }

        return new FlowPath($own, array_map(floatval(...), $times));
    }
}
