<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Handbook\HandbookSectionProps;

/** What the trade knows: marks, buses, links, units, rules and cautions. */
final readonly class HandbookPageProps implements PageProps
{
    /**
     * @param  string  $search  that the page opens with
     * @param  list<HandbookSectionProps>  $sections
     */
    public function __construct(public string $search, public array $sections) {}
}
