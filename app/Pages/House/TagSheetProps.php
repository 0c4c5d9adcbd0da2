<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A sheet of tags as it would be printed. */
final readonly class TagSheetProps
{
    /**
     * @param  string  $cards  as typed
     * @param  list<string>  $tags  the cards that were found, in order
     * @param  list<string>  $unknown  words that picked nothing
     * @param  int  $begin  the first free label
     * @param  string|null  $href  where the PDF is; null while there is nothing to print
     */
    public function __construct(
        public string $cards,
        public array $tags,
        public array $unknown,
        public string $sheet,
        public int $columns,
        public int $rows,
        public int $begin,
        public ?string $href,
    ) {}
}
