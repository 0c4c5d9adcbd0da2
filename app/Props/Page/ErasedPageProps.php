<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Erased\ErasureProps;

/** All that the page Erased shows. */
final readonly class ErasedPageProps implements PageProps
{
    /**
     * @param  list<ErasureProps>  $lines
     * @param  int  $count  of all lines
     * @param  int|null  $older  the line that the next page begins before
     */
    public function __construct(
        public array $lines,
        public int $count,
        public ?int $older,
        public bool $isNewest,
    ) {}
}
