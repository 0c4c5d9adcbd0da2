<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Bench\BenchProps;
use App\Props\Bench\KnownStationProps;
use App\Props\Bench\PlaceProps;

/** All that the page Bench shows. */
final readonly class BenchPageProps implements PageProps
{
    /**
     * @param  list<BenchProps>  $benches
     * @param  list<PlaceProps>  $readers
     * @param  list<PlaceProps>  $hosts
     * @param  list<KnownStationProps>  $known  stations of other houses
     */
    public function __construct(
        public array $benches,
        public array $readers,
        public array $hosts,
        public array $known,
    ) {}
}
