<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Compare\CompareProps;

/** All that the page Compare shows. */
final readonly class ComparePageProps implements PageProps
{
    public function __construct(
        public CompareProps $compare,
    ) {}
}
