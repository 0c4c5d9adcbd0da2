<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Follow\FollowNowProps;

/** All that the page Follow shows. */
final readonly class FollowPageProps implements PageProps
{
    /**
     * @param  string  $began  the time of day, and the day
     * @param  float  $planned  when all was to be safe by the first plan; seconds from the beginning
     * @param  float|null  $pace  seconds of made-up time in one of ours; null where it is real
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $began,
        public int $beganAt,
        public float $planned,
        public ?float $pace,
        public FollowNowProps $first,
        public string $person,
        public ?string $said,
    ) {}
}
