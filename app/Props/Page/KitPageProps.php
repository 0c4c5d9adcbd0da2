<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Kit\KitListProps;

/** All that the page Kit shows. */
final readonly class KitPageProps implements PageProps
{
    /**
     * @param  list<KitListProps>  $lists
     * @param  string  $said  what came of the last act; empty for nothing
     */
    public function __construct(
        public array $lists,
        public string $said,
    ) {}
}
