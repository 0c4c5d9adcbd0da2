<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Offload\BooksQuestion;
use App\Offload\KitGear;
use App\Pages\Page;
use Illuminate\Support\Collection;
use Tally\Chain\Link;
use Tally\Offload\WayHome;
use Tally\Offload\WaysHome;
use Tally\Quantity\Bytes;

/**
 * The ways home for one card's footage.
 *
 * @phpstan-import-type CardProps from CardHeading
 * @phpstan-import-type MarginProps from Margin
 *
 * @phpstan-type LinkProps array{ // A link of a route.
 *     name: string,
 *     rate: float, // MB/s it gives in practice
 *     source: string,
 *     pinch: bool,
 * }
 * @phpstan-type RouteProps array{ // One way home for a card's footage.
 *     reader: string,
 *     host: string,
 *     drive: string,
 *     links: list<LinkProps>,
 *     pinch: string,
 *     rate: float, // MB/s
 *     copy: string,
 *     verify: string,
 *     total: string,
 *     seconds: float, // copied and read back
 * }
 */
final readonly class OffloadPage extends Page
{
    private const SHOWN = 12;

    /**
     * @param  list<RouteProps>  $routes
     * @param  list<string>  $leftOut
     * @param  CardProps  $card
     * @param  MarginProps  $margin
     */
    public function __construct(
        public array $card,
        public string $amount,
        public array $routes,
        public int $count,
        public array $leftOut,
        public array $margin,
    ) {}

    /**
     * @param  Collection<int, Run>  $runs
     * @return array{list<WayHome>, list<string>} and why other gear is left out
     */
    public static function ways(Card $card, Collection $runs, Bytes $amount): array
    {
        $kit = KitGear::take(false);
        [$laden, $rates] = BooksQuestion::laden($card, $runs, $amount, $kit->spoken);

        return WaysHome::of(
            $kit->hosts,
            $kit->readers,
            $kit->drives,
            $laden,
            rates: [...$rates, ...$kit->rates],
            connection: $card->label()->connection(),
        );
    }

    /**
     * @param  list<WayHome>  $ways
     * @return list<RouteProps>
     */
    public static function props(array $ways): array
    {
        return array_map(self::route(...), array_slice($ways, 0, self::SHOWN));
    }

    /** @return RouteProps */
    private static function route(WayHome $route): array
    {
        $pinch = $route->path->pinch();

        return [
            'reader' => $route->reader,
            'host' => $route->host,
            'drive' => $route->drive,
            'links' => array_map(
                fn (Link $link): array => [
                    'name' => $link->name,
                    'rate' => $link->ceiling->usable()->megabytes(),
                    'source' => $link->ceiling->source,
                    'pinch' => $link === $pinch,
                ],
                $route->path->links,
            ),
            'pinch' => $pinch->describe(),
            'rate' => $route->path->usable()->megabytes(),
            'copy' => $route->copy()->print(),
            'verify' => $route->verify()->print(),
            'total' => $route->total()->print(),
            'seconds' => $route->total()->seconds,
        ];
    }
}
