<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Chain\Ceiling;
use Tally\Chain\CeilingOrigin;
use Tally\Chain\Link;
use Tally\Chain\Practice;
use Tally\Device\Load;
use Tally\Label\Bus;
use Tally\Measured\Chain;
use Tally\Measured\Instrument;
use Tally\Quantity\Rate;

/** A chain as it is kept with a run, since gear may change later: as it was measured over, whatever card was in it. */
final readonly class ChainRecord
{
    /** @return array<string, mixed> speeds in bytes a second */
    public static function pack(Chain $chain): array
    {
        $host = $chain->host;

        return [
            'reader' => $chain->reader,
            'slot' => array_map(fn (Bus $bus): string => $bus->value, $chain->slot),
            'host' => $host === null
                    ? null
                    : [
                        'name' => $host->name,
                        'nominal' => $host->ceiling->nominal->bytesPerSecond,
                        'low' => $host->ceiling->least()?->bytesPerSecond,
                        'high' => $host->ceiling->practice?->high?->bytesPerSecond,
                        'source' => $host->ceiling->source,
                        'origin' => $host->ceiling->origin->value,
                    ],
            'camera' => $chain->isCamera,
            'match' => $chain->isMatch,
            'engine' => $chain->instrument === null
                ? null
                : [
                    'write' => $chain->instrument->write?->bytesPerSecond,
                    'read' => $chain->instrument->read?->bytesPerSecond,
                    'busy' => $chain->instrument->wasBusy,
                    'load' => $chain->instrument->load,
                ],
        ];
    }

    /** @throws NotUsable */
    public static function unpack(Fields $record): Chain
    {
        $slot = [];
        foreach ($record->texts('slot') as $i => $bus) {
            $slot[] =
                Bus::tryFrom($bus) ?? throw NotUsable::field("{$record->name('slot')}[{$i}]", $bus, 'a bus that is known here would do.');
        }

        return new Chain(
            $record->textOrNull('reader'),
            $slot,
            $record->has('host') ? self::host($record->fields('host')) : null,
            $record->boolean('camera'),
            $record->has('engine') ? self::engine($record->fields('engine')) : null,
            $record->boolean('match'),
        );
    }

    private static function engine(Fields $engine): Instrument
    {
        $rate = fn (string $way): ?Rate => $engine->has($way) ? $engine->rate($way) : null;

        $load = $engine->has('load') ? $engine->fields('load') : null;

        return new Instrument(
            $rate('write'),
            $rate('read'),
            $engine->boolean('busy'),
            $load === null ? null : new Load($load->number('all'), $load->number('others'), $load->count('processors')),
        );
    }

    private static function host(Fields $host): Link
    {
        $low = $host->has('low') ? $host->rate('low') : null;

        return new Link(
            $host->text('name'),
            new Ceiling(
                $host->rate('nominal'),
                $low === null ? null : new Practice($low, $host->has('high') ? $host->rate('high') : null),
                $host->text('source', 'not told'),
                $host->has('origin') ? $host->choice('origin', CeilingOrigin::class) : null,
            ),
        );
    }
}
