<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Compare\TwinGroupProps;

/** All that the page Twins shows. */
final readonly class TwinsPageProps implements PageProps
{
    /**
     * @param  list<TwinGroupProps>  $groups
     */
    public function __construct(
        public array $groups,
    ) {}
}
