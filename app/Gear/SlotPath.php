<?php

declare(strict_types=1);

namespace App\Gear;

use App\Models\Cards\Card;
use App\Models\Stations\Slot;
use App\Models\Stations\Station;
use Tally\Chain\Path;

/** A slot of a station, and what the chain of a card in it gives. */
final readonly class SlotPath
{
    /** @param  Path|null  $path  null where the slot does not take the card */
    private function __construct(public Slot $slot, public ?Path $path) {}

    /** @return list<self> of each slot of the station; the fastest first */
    public static function each(Card $card, ?Station $station): array
    {
        if ($station === null) {
            return [];
        }
        $label = $card->label();
        $paths = [];
        foreach (
            $station
                ->slots()
                ->with(['reader.slots', 'reader.cable', 'port.host'])
                ->orderBy('id')
                ->get() as $slot
        ) {
            $paths[] = new self($slot, ChainBuilder::path($label, $slot));
        }
        usort($paths, fn (self $a, self $b): int => $b->rate() <=> $a->rate());

        return $paths;
    }

    private function rate(): float
    {
        return $this->path?->usable()->bytesPerSecond ?? 0.0;
    }
}
