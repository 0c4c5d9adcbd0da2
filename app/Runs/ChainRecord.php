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
    /** @return array{links: list<array{name: string, nominal: float, practical: float|null, source: string}>, named: bool} */
    public static function pack(Path $path): array
    {
        return ['named' => $path->isNamed, 'links' => array_map(fn (Link $link): array => [
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

        return $links === [] || $chain->get('named') === false ? Path::unnamed() : new Path($links);
    }
}
