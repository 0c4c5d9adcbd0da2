<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Fit\FitCardProps;
use App\Props\Fit\SchoolProps;

/** All that the page FitMode shows: one mode, and every card of the house. */
final readonly class FitModePageProps implements PageProps
{
    /**
     * @param  string  $writes  such as `240 Mb/s, long-GOP`
     * @param  float  $rate  MB/s
     * @param  float  $need  MB/s, with the margin
     * @param  list<FitCardProps>  $cards  those that may first, the best proven first
     * @param  int  $more  that are not shown
     * @param  list<SchoolProps>  $schools
     * @param  string|null  $least  the least mark that opens it
     */
    public function __construct(
        public int $id,
        public string $camera,
        public string $name,
        public string $writes,
        public float $rate,
        public float $need,
        public array $cards,
        public int $more,
        public array $schools,
        public string $decides,
        public ?string $least,
        public string $asks,
    ) {}
}
