<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Books\Book;
use App\Books\BooksFormat;
use App\Books\BooksOut;
use App\Books\Pick;
use App\Models\Cards\Card;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoInspections;
use Database\Seeders\DemoModes;
use Database\Seeders\DemoRuns;
use Inertia\Testing\AssertableInertia;
use Opis\JsonSchema\Validator;
use PhpOffice\PhpSpreadsheet\IOFactory;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Tests\TestCase;
use ZipArchive;

final class BooksTest extends TestCase
{
    private function house(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class, DemoInspections::class, DemoModes::class]);
    }

    /** @return string the path of what was taken out */
    private function taken(string $query): string
    {
        $answer = $this->get("/books/out?{$query}")->assertOk()->baseResponse;
        self::assertInstanceOf(BinaryFileResponse::class, $answer);

        return $answer->getFile()->getPathname();
    }

    /**
     * @param  array<mixed>  $books
     * @return list<mixed> of every row
     */
    private static function column(array $books, string $book, string $column): array
    {
        return array_column((array) $books[$book], $column);
    }

    /** @return array<mixed> */
    private function out(string $query = ''): array
    {
        $json = (string) file_get_contents($this->taken("format=json{$query}"));
        $schema = (string) file_get_contents(base_path('docs/books.schema.json'));
        $valid = (new Validator())->validate(json_decode($json), $schema);
        self::assertTrue($valid->isValid(), (string) $valid->error()?->message());
        $books = json_decode($json, true);
        self::assertIsArray($books);

        return $books;
    }

    public function test_all_books_go_out_as_their_schema_says(): void
    {
        $this->house();
        $books = $this->out();
        self::assertSame(
            ['format', 'version', 'made_at', ...array_map(fn (Book $book): string => $book->value, Book::cases())],
            array_keys($books),
        );
        self::assertCount(Card::query()->count(), (array) $books['cards']);
        self::assertEqualsCanonicalizing(Card::query()->pluck('tag')->all(), array_column((array) $books['cards'], 'tag'));
        foreach (['runs', 'inspections', 'bursts', 'prices', 'readers', 'modes'] as $book) {
            self::assertNotSame([], $books[$book], $book);
        }
        $run = Card::query()->where('tag', 'QS-014')->firstOrFail()->runs()->orderBy('id')->firstOrFail();
        $rows = array_column((array) $books['runs'], null, 'run');
        self::assertSame('QS-014', data_get($rows, "{$run->id}.card"));
        self::assertSame($run->chain->describe(), data_get($rows, "{$run->id}.chain"));
        self::assertEqualsWithDelta($run->reading()?->write?->median()->bytesPerSecond, data_get($rows, "{$run->id}.write"), 1e-6);
    }

    public function test_books_are_narrowed_to_some_cards_and_days(): void
    {
        $this->house();
        $books = $this->out('&books[]=cards&books[]=runs&books[]=prices&cards=QS-014..QS-021');
        self::assertSame(['format', 'version', 'made_at', 'cards', 'runs', 'prices'], array_keys($books));
        self::assertSame(['QS-014', 'QS-015', 'QS-021'], array_column((array) $books['cards'], 'tag'));
        foreach (self::column($books, 'runs', 'card') as $tag) {
            self::assertContains($tag, ['QS-014', 'QS-015', 'QS-021']);
        }
        // A price is of no card.
        self::assertNotSame([], $books['prices']);
        $sham = $this->out('&books[]=cards&verdict=Sham');
        self::assertNotSame([], $sham['cards']);
        foreach (self::column($sham, 'cards', 'verdict') as $verdict) {
            self::assertSame('Sham', $verdict);
        }
        self::assertSame([], $this->out('&books[]=runs&from=2001-01-01&to=2001-02-01')['runs']);
    }

    /** @return iterable<string, array{string}> */
    public static function sheets(): iterable
    {
        yield 'XLSX' => ['xlsx'];
        yield 'ODS' => ['ods'];
    }

    #[DataProvider('sheets')]
    public function test_a_workbook_has_a_sheet_for_each_book_and_no_cell_is_a_formula(string $format): void
    {
        $this->house();
        Card::query()->where('tag', 'QS-014')->update(['name' => '=1+1']);
        $path = tempnam(sys_get_temp_dir(), 'books');
        self::assertIsString($path);
        BooksOut::write($path, BooksFormat::from($format), Pick::all(), '2026-11-27T12:00:00Z');
        $book = IOFactory::createReader(ucfirst($format))->load($path);
        unlink($path);
        self::assertSame(array_map(fn (Book $one): string => $one->value, Book::cases()), $book->getSheetNames());
        $cards = $book->getSheetByName('cards')?->toArray() ?? [];
        self::assertSame(Book::Cards->columns(), $cards[0]);
        self::assertCount(1 + Card::query()->count(), $cards);
        $row = array_combine(Book::Cards->columns(), $cards[array_search('QS-014', array_column($cards, 0), true)]);
        self::assertIsString($row['name']);
        self::assertStringContainsString('=1+1', $row['name']);
    }

    public function test_one_book_is_one_table_and_several_are_a_folder_of_them(): void
    {
        $this->house();
        $one = (string) file_get_contents($this->taken('format=csv&books[]=readers'));
        self::assertStringContainsString('tag,name,uplink,is_camera', $one);
        self::assertStringContainsString("\nR1,", $one);
        $zip = new ZipArchive();
        self::assertTrue($zip->open($this->taken('format=csv')));
        self::assertSame(count(Book::cases()), $zip->numFiles);
        self::assertStringContainsString('QS-014', (string) $zip->getFromName('cards.csv'));
        $zip->close();
    }

    public function test_bad_input_says_what_would_do(): void
    {
        $this->get('/books/out?format=doc')->assertSessionHasErrors(['format']);
        $this->get('/books/out?format=csv&books[]=letters')->assertSessionHasErrors(['books.0']);
        $this->get('/books/out?format=csv&cards=QS-999')->assertSessionHasErrors(['cards']);
        $this->get('/books/out?format=csv&from=yesterday')->assertSessionHasErrors(['from']);
        $this->get('/books/out?format=csv&from=2026-02-01&to=2026-01-01')->assertSessionHasErrors(['to']);
        $this->get('/books')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->component('Books')->has('books', count(Book::cases())),
        );
    }
}
