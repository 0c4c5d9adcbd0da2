<?php

declare(strict_types=1);

namespace App\Gear;

use App\Models\Cards\Card;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Stations\Slot;
use Tally\Chain\Link;
use Tally\Chain\Path;
use Tally\Evidence\Reach;
use Tally\Label\Label;
use Tally\Measured\Attribution;
use Tally\Measured\Chain;
use Tally\Measured\Reached;

/** The gear in the books, in the terms of the core. */
final readonly class ChainBuilder
{
    /** What a card stands on in a slot, as it is kept with a run; null when it does not fit there. */
    public static function chain(Label $label, Slot $slot): ?Chain
    {
        return self::chainAt($label, $slot->reader, $slot->port);
    }

    /** The same, of a card whose maker may be that of the slot's double rate. */
    public static function chainOf(Card $card, Reader $reader, Port $port): ?Chain
    {
        $chain = self::chainAt($card->label(), $reader, $port);

        return $chain === null || ! $reader->matches($card->name) ? $chain : $chain->matching();
    }

    /** The same in any reader at any port; null when the reader does not take it. */
    public static function chainAt(Label $label, Reader $reader, Port $port): ?Chain
    {
        return $label->settleIn($reader->buses()) === null ? null : self::through($reader, $port);
    }

    /** A reader at a port, whatever card is in it. */
    public static function through(Reader $reader, Port $port): Chain
    {
        $slowest = Link::slowest($reader->toHost(), $port->asLink());

        return new Chain(
            $reader->tag,
            $reader->buses(),
            new Link("{$slowest->name}, {$port->host->name} {$port->name}", $slowest->ceiling),
            $reader->camera,
        );
    }

    /** @return Path|null what the chain of a card in a slot gives, for planning */
    public static function path(Label $label, Slot $slot): ?Path
    {
        return self::chain($label, $slot)?->fastest($label);
    }

    /**
     * @param  list<Reached>  $reached  what the house saw its readers carry
     * @return list<Reach> each reader of the kit that takes a card, at the port that serves it best; the fastest first
     */
    public static function reaches(Label $label, array $reached): array
    {
        $ports = Port::query()->with('host')->orderBy('id')->get();
        $reaches = [];
        foreach (
            Reader::query()
                ->with(['slots', 'cable'])
                ->orderBy('tag')
                ->get() as $reader
        ) {
            $best = null;
            foreach ($ports as $port) {
                $chain = self::chainAt($label, $reader, $port);
                $usable = $chain?->surest($label)->usable()->bytesPerSecond ?? 0.0;
                if ($chain !== null && ($best === null || $best[1] < $usable)) {
                    $best = [
                        new Reach(
                            "{$reader->tag} {$reader->name} on {$port->host->name}",
                            $chain,
                            new Attribution($chain, $label, $reached),
                        ),
                        $usable,
                    ];
                }
            }
            if ($best !== null) {
                $reaches[] = $best;
            }
        }
        usort($reaches, fn (array $a, array $b): int => $b[1] <=> $a[1]);

        return array_column($reaches, 0);
    }
}
