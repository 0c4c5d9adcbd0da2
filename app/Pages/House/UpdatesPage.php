<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Http\Controllers\UpdateController;
use App\Pages\Page;

/**
 * All that the page Updates shows.
 *
 * @phpstan-import-type UpdateProps from UpdateController
 */
final readonly class UpdatesPage extends Page
{
    /** @param  list<UpdateProps>  $updates  the newest first */
    public function __construct(public array $updates) {}
}
