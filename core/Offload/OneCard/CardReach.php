<?php

declare(strict_types=1);

namespace Tally\Offload\OneCard;

use Tally\Chain\Link;
use Tally\Chain\Path;
use Tally\Label\Bus;

/** How far a card gets in a reader at a port of a host: the links before any drive. */
final readonly class CardReach
{
    /** @return list<Link> card (where its own speed is known), its bus in the reader, the reader at the port */
    public static function links(Source $source, ReaderGear $reader, Bus $bus, PortGear $port): array
    {
        $here = $source->byReader[$reader->name] ?? null;
        $card = $here ?? $source->card;
        $ceiling = $bus->ceiling();
        // What went over the bus in this very reader is more than practice says: the measurement wins.
        if ($here !== null && $ceiling->usable()->isBelow($here->usable())) {
            $ceiling = $ceiling->measuredAs($here->usable(), $here->source);
        }

        return [
            ...$card === null ? [] : [new Link($source->name, $card)],
            new Link("{$bus->label()} in {$reader->name}", $ceiling),
            new Link("{$reader->name} at {$port->label()}", Link::slowest($reader->uplink, $port->link)->ceiling),
        ];
    }

    /**
     * @param  non-empty-list<PortGear>  $ports  of one host
     * @return Path|null over the best port; null when the reader does not take the card
     */
    public static function best(Source $source, ReaderGear $reader, array $ports): ?Path
    {
        $bus = Bus::fastestSettled($source->buses, $reader->buses);
        if ($bus === null) {
            return null;
        }
        $best = null;
        foreach ($ports as $port) {
            $path = new Path(self::links($source, $reader, $bus, $port));
            $best = $best === null || $best->usable()->isBelow($path->usable()) ? $path : $best;
        }

        return $best;
    }
}
