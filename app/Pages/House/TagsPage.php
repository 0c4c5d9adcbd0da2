<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Pages\Page;
use App\Props\Label\ChoiceProps;
use App\Props\Tags\TagSheetProps;

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
