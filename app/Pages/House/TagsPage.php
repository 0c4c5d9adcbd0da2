<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Http\Controllers\TagController;
use App\Kit\ChoiceProps;
use App\Pages\Page;

/**
 * All that the page Tags shows.
 *
 * @phpstan-import-type TagSheetProps from TagController
 */
final readonly class TagsPage extends Page
{
    /**
     * @param  list<ChoiceProps>  $kinds
     * @param  TagSheetProps  $sheet
     */
    public function __construct(
        public array $sheet,
        public array $kinds,
    ) {}
}
