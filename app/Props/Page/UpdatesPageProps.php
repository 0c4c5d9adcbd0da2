<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Updates\UpdateProps;

/** All that the page Updates shows. */
final readonly class UpdatesPageProps implements PageProps
{
    /** @param  list<UpdateProps>  $updates  the newest first */
    public function __construct(public array $updates) {}
}
