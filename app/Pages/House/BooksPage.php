<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Books\Book;
use App\Books\BooksFormat;
use App\Kit\ChoiceProps;
use App\Pages\Page;
use Tally\Verdict\VerdictKind;

/**
 * What can go out of the books, and as what.
 *
 * @phpstan-type BookProps array{ // A book that can go out.
 *     key: string,
 *     words: string,
 *     columns: list<string>,
 * }
 */
final readonly class BooksPage extends Page
{
    /**
     * @param  list<BookProps>  $books
     * @param  list<ChoiceProps>  $formats
     * @param  list<ChoiceProps>  $verdicts
     */
    public function __construct(public array $books, public array $formats, public array $verdicts) {}

    public static function now(): self
    {
        return new self(
            array_map(
                fn (Book $book): array => ['key' => $book->value, 'words' => $book->words(), 'columns' => $book->columns()],
                Book::cases(),
            ),
            array_map(fn (BooksFormat $format): ChoiceProps => new ChoiceProps($format->value, $format->words(), []), BooksFormat::cases()),
            array_map(fn (VerdictKind $kind): ChoiceProps => new ChoiceProps($kind->value, $kind->value, []), VerdictKind::cases()),
        );
    }
}
