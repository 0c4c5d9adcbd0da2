<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Import\ImportProps;
use App\Props\Label\ChoiceProps;

/** All that the page Import shows. */
final readonly class ImportPageProps implements PageProps
{
    /**
     * @param  list<ChoiceProps>  $fields
     * @param  string|null  $reading  the table that is being read just now
     */
    public function __construct(
        public ?ImportProps $import,
        public array $fields,
        public ?string $reading,
    ) {}
}
