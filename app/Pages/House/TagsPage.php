<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Kit\ChoiceProps;
use App\Pages\Page;

/**
 * All that the page Tags shows.
 *
 * @phpstan-type TagSheetProps array{ // A sheet of tags as it would be printed.
 *     cards: string, // as typed
 *     tags: list<string>, // the cards that were found, in order
 *     unknown: list<string>, // words that picked nothing
 *     sheet: string,
 *     columns: int,
 *     rows: int,
 *     begin: int, // the first free label
 *     href: string|null, // where the PDF is; null while there is nothing to print
 * }
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
