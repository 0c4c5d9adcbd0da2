<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Gear\ChainBuilder;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Offload\CardSource;
use App\Pages\Page;
use Illuminate\Support\Collection;
use Tally\Chain\Link;
use Tally\Offload\OneCard\Route;
use Tally\Offload\OneCard\Routes;
use Tally\Quantity\Bytes;

/** The ways home for one card's footage. */
final readonly class OffloadPage extends Page
{
    private const SHOWN = 12;

    /**
     * @param  list<RouteProps>  $routes
     * @param  list<string>  $leftOut
     */
    public function __construct(
        public CardProps $card,
        public string $amount,
        public array $routes,
        public int $count,
        public array $leftOut,
        public MarginProps $margin,
    ) {}

    /** @param  Collection<int, Run>  $runs */
    public static function routes(Card $card, Collection $runs, Bytes $amount): Routes
    {
        return ChainBuilder::routes()->find(CardSource::of($card, $runs, $amount));
    }

    /** @return list<RouteProps> */
    public static function props(Routes $routes): array
    {
        return array_map(self::route(...), array_slice($routes->ranked, 0, self::SHOWN));
    }

    private static function route(Route $route): RouteProps
    {
        $pinch = $route->path->pinch();

        return new RouteProps(
            $route->reader,
            $route->host,
            $route->drive,
            array_map(
                fn (Link $link): LinkProps => new LinkProps(
                    $link->name,
                    $link->ceiling->usable()->megabytes(),
                    $link->ceiling->source,
                    $link === $pinch,
                ),
                $route->path->links,
            ),
            $pinch->describe(),
            $route->path->usable()->megabytes(),
            $route->copy()->print(),
            $route->verify()->print(),
            $route->total()->print(),
            $route->total()->seconds,
        );
    }
}
