<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Opinion\OpinionsProps;

/** All that the page Opinion shows. */
final readonly class OpinionPageProps implements PageProps
{
    public function __construct(
        public ?OpinionsProps $opinions,
    ) {}
}
