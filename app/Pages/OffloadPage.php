<?php

declare(strict_types=1);

namespace App\Pages;

use App\Evidence\CardEvidence;
use App\Gear\Rig;
use App\Models\Card;
use App\Models\Run;
use App\Props\Offload\LinkProps;
use App\Props\Offload\RouteProps;
use Illuminate\Support\Collection;
use Tally\Chain\Ceiling;
use Tally\Chain\Link;
use Tally\Offload\Route;
use Tally\Offload\Routes;
use Tally\Offload\Source;
use Tally\Quantity\Bytes;
use Tally\Reading\Standing;

/** The ways home for one card's footage. */
final readonly class OffloadPage
{
    private const SHOWN = 12;

    /** @param  Collection<int, Run>  $runs */
    public static function routes(Card $card, Collection $runs, Bytes $amount): Routes
    {
        return Rig::routes()->find(self::source($card, $runs, $amount));
    }

    /** @return list<RouteProps> */
    public static function props(Routes $routes): array
    {
        return array_map(self::route(...), array_slice($routes->ranked, 0, self::SHOWN));
    }

    /**
     * What was measured in a reader wins there. Elsewhere the best trusted run tells the card's own speed, unless that run
     * was held back by its chain: then the label's claim is all there is.
     *
     * @param  Collection<int, Run>  $runs
     */
    private static function source(Card $card, Collection $runs, Bytes $amount): Source
    {
        $label = $card->label();
        $byReader = [];
        $best = null;
        foreach (CardEvidence::speeds($card, $runs) as $speed) {
            $read = $speed->reading->read;
            if ($read === null || ! $read->isTrusted()) {
                continue;
            }
            $ceiling = Ceiling::measured($read->median(), "measured, {$speed->run}, first {$speed->reading->region->decimal()}");
            $reader = Rig::readerOf($speed->reading->path);
            if ($reader !== null) {
                $byReader[$reader] = $ceiling;
            }
            $heldBack = $read->standing === Standing::NotJudgedHere || $read->median()->over($speed->reading->path->usable()) > 0.9;
            if (! $heldBack && ($best === null || $best->usable()->isBelow($read->median()))) {
                $best = $ceiling;
            }
        }
        $claim = $label->readClaim();

        return new Source(
            $card->tag, $label->possibleBuses(), $label->connection(), $amount,
            $best ?? ($claim === null ? self::slowest($byReader) : new Ceiling($claim, null, 'the label’s claim, not measured')),
            $byReader,
        );
    }

    /** @param  array<string, Ceiling>  $ceilings */
    private static function slowest(array $ceilings): ?Ceiling
    {
        usort($ceilings, fn (Ceiling $a, Ceiling $b): int => $a->usable()->bytesPerSecond <=> $b->usable()->bytesPerSecond);

        return $ceilings[0] ?? null;
    }

    private static function route(Route $route): RouteProps
    {
        $pinch = $route->path->pinch();

        return new RouteProps(
            $route->reader,
            $route->host,
            $route->drive,
            array_map(fn (Link $link): LinkProps => new LinkProps($link->name, $link->ceiling->usable()->megabytes(), $link->ceiling->source, $link === $pinch), $route->path->links),
            $pinch->describe(),
            $route->path->usable()->megabytes(),
            $route->copy()->print(),
            $route->verify()->print(),
            $route->total()->print(),
            $route->total()->seconds,
        );
    }
}
