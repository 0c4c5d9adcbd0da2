<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Label\CardProps;
use App\Props\Margin\MarginProps;
use App\Props\Offload\RouteProps;

/** All that the page Offload shows. */
final readonly class OffloadPageProps implements PageProps
{
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
}
