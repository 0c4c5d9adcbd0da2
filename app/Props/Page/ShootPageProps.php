<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Shoot\KeptShootProps;
use App\Props\Shoot\PackedProps;
use App\Props\Shoot\ShootModeProps;
use App\Props\Shoot\WantedProps;

/** All that the page of a whole shoot shows while it is planned. */
final readonly class ShootPageProps implements PageProps
{
    /**
     * @param  string  $days  of the shoot
     * @param  string  $home  cards come home every so many days
     * @param  string  $extra  percent on top of what is planned
     * @param  list<WantedProps>  $wanted
     * @param  list<ShootModeProps>  $modes
     * @param  list<string>  $ticked  cards that were asked for; empty for all
     * @param  list<string>  $left  cards that stay at home
     * @param  list<string>  $buys  the least that would have to be bought, each a sentence
     * @param  string  $missing  such as `33 min and 1 spare`; empty where nothing is
     * @param  string  $proof  whether it is the best there is, a sentence
     * @param  string  $school  by which it is decided
     * @param  list<string>  $laden  cards that go along and have footage on them now
     * @param  int  $more  cards that were not looked at
     * @param  list<KeptShootProps>  $kept  the newest first
     * @param  string  $today  `2026-11-27`
     */
    public function __construct(
        public string $days,
        public string $home,
        public string $extra,
        public array $wanted,
        public array $modes,
        public array $ticked,
        public PackedProps $packed,
        public array $left,
        public array $buys,
        public string $missing,
        public string $proof,
        public string $school,
        public array $laden,
        public int $more,
        public array $kept,
        public string $today,
        public string $person,
    ) {}
}
