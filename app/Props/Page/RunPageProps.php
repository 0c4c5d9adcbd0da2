<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Label\CardProps;
use App\Props\Margin\MarginProps;
use App\Props\Run\RunSheetProps;

/** All that the page Run shows. */
final readonly class RunPageProps implements PageProps
{
    public function __construct(
        public CardProps $card,
        public RunSheetProps $run,
        public string $person,
        public MarginProps $margin,
    ) {}
}
