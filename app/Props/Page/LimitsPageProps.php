<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Compare\LimitsProps;

/** All that the page Limits shows. */
final readonly class LimitsPageProps implements PageProps
{
    public function __construct(
        public LimitsProps $limits,
    ) {}
}
