<?php

declare(strict_types=1);

namespace App\Runs;

use Illuminate\Support\Fluent;
use Tally\Chain\Ceiling;
use Tally\Chain\Link;
use Tally\Chain\Path;
use Tally\Quantity\Rate;

/** A path as it is kept with a run, since gear may change later. */
final readonly class ChainRecord
{
    /** No link can be named, so none can be blamed: a run from the terminal on a bare folder. */
    public static function unnamed(): Path
    {
        $endless = Rate::megabytesPerSecond(1e9);

        return new Path([new Link('a chain nobody named', new Ceiling($endless, null, 'unknown'))]);
    }

    /** @return array{links: list<array{name: string, nominal: float, practical: float|null, source: string}>} */
    public static function pack(Path $path): array
    {
        return ['links' => array_map(fn (Link $link): array => [
            'name' => $link->name,
            'nominal' => $link->ceiling->nominal->bytesPerSecond,
            'practical' => $link->ceiling->practical?->bytesPerSecond,
            'source' => $link->ceiling->source,
        ], $path->links)];
    }

    /** @param  Fluent<string, mixed>  $chain */
    public static function unpack(Fluent $chain): Path
    {
        $links = [];
        foreach ($chain->array('links') as $link) {
            $link = new Fluent(is_array($link) ? $link : []);
            $practical = $link->float('practical');
            $links[] = new Link($link->string('name')->value(), new Ceiling(
                Rate::bytesPerSecond($link->float('nominal')),
                $practical > 0 ? Rate::bytesPerSecond($practical) : null,
                $link->string('source')->value(),
            ));
        }

        return $links === [] ? self::unnamed() : new Path($links);
    }
}
