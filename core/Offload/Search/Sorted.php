<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;

/** The same question with everything in the order of its name, so that the order in which it was asked changes no plan. */
final readonly class Sorted
{
    public static function question(Question $question): Question
    {
        $hosts = self::byName(
            array_map(
                fn (Host $host): Host => $host->with($host->controllers, self::byName($host->ports)),
                $question->hosts,
            ),
        );
        $readers = self::byName(
            array_map(
                fn (Reader $reader): Reader => new Reader($reader->name, self::byName($reader->slots), $reader->lanes, $reader->uplink),
                $question->readers,
            ),
        );
        $cards = $question->cards;
        usort($cards, fn (LadenCard $one, LadenCard $other): int => strcmp($one->tag, $other->tag));
        $links = $question->links;
        ksort($links);

        return new Question($hosts, $readers, self::byName($question->drives), $cards, links: $links, rules: $question->rules);
    }

    /**
     * @template T of Host|Port|Reader|ReaderSlot|Drive
     *
     * @param  list<T>  $things
     * @return list<T>
     */
    private static function byName(array $things): array
    {
        $names = array_map(fn (Host|Port|Reader|ReaderSlot|Drive $thing): string => $thing->name, $things);
        array_multisort($names, SORT_STRING, array_keys($things), $things);

        return $things;
    }
}
