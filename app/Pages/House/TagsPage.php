<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Kit\ChoiceProps;
use App\Pages\Page;

/** All that the page Tags shows. */
final readonly class TagsPage extends Page
{
    /**
     * @param  list<ChoiceProps>  $kinds
     */
    public function __construct(
        public TagSheetProps $sheet,
        public array $kinds,
    ) {}
}
