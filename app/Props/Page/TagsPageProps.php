<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Label\ChoiceProps;
use App\Props\Tags\TagSheetProps;

/** All that the page Tags shows. */
final readonly class TagsPageProps implements PageProps
{
    /**
     * @param  list<ChoiceProps>  $kinds
     */
    public function __construct(
        public TagSheetProps $sheet,
        public array $kinds,
    ) {}
}
