<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Books\BookProps;
use App\Props\Label\ChoiceProps;

/** What can go out of the books, and as what. */
final readonly class BooksPageProps implements PageProps
{
    /**
     * @param  list<BookProps>  $books
     * @param  list<ChoiceProps>  $formats
     * @param  list<ChoiceProps>  $verdicts
     */
    public function __construct(public array $books, public array $formats, public array $verdicts) {}
}
