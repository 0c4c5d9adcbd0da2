<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Kit\FitSheetProps;

/** All that the page Fits shows. */
final readonly class FitsPageProps implements PageProps
{
    public function __construct(
        public FitSheetProps $sheet,
    ) {}
}
