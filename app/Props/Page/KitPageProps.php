<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Kit\KitListProps;

/** All that the page Kit shows. */
final readonly class KitPageProps implements PageProps
{
    /**
     * @param  list<KitListProps>  $lists
     */
    public function __construct(
        public array $lists,
    ) {}
}
