<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Backup\BookTables;
use App\Models\Cards\Card;
use App\Models\Cards\Photo;
use App\Models\People\Role;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\People\PeopleBook;
use Closure;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoModes;
use Database\Seeders\DemoRuns;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use ZipArchive;

/** All books into one file and back: every table, every verdict, every photo; a damaged file is refused whole. */
final class BackupTest extends StationTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->seed([DemoCards::class, DemoRuns::class, DemoModes::class]);
        PeopleBook::enter('Wren', Role::Lead, 'twelve gritty letters');
        Photo::query()->create([
            'card_id' => Card::query()->firstOrFail()->id,
            'side' => 'front',
            'jpeg' => random_bytes(5000),
            'width' => 10,
            'height' => 10,
            'recorded_by' => 'Wren',
        ]);
    }

    /** @return array<string, string> table → hash of all that is in it */
    private function books(): array
    {
        $books = [];
        foreach ((new BookTables(DB::connection()))->names() as $table) {
            // When a card changed is told anew, so that open pages ask for it.
            $kept = fn (object $row): string => serialize(array_diff_key((array) $row, ['changed_at' => true]));
            $rows = DB::table($table)->get()->map($kept)->sort()->values()->all();
            $books[$table] = hash('sha256', serialize($rows));
        }

        return $books;
    }

    private function backup(): string
    {
        $path = "{$this->folder()}/books.zip";
        self::assertSame(0, Artisan::call('tally:backup', ['file' => $path]));

        return $path;
    }

    /** @phpstan-impure */
    private function restore(string $path): int
    {
        return Artisan::call('tally:restore', ['file' => $path, '--yes' => true]);
    }

    public function test_backup_empty_books_restore_gives_the_same_house(): void
    {
        Artisan::call('tally:judge', ['--all' => true]);
        $path = $this->backup();
        $before = $this->books();
        $verdicts = Card::query()->orderBy('tag')->pluck('verdict', 'tag')->all();
        $photo = Photo::query()->sole()->getRawOriginal('jpeg');
        DB::statement('SET FOREIGN_KEY_CHECKS = 0');
        foreach ((new BookTables(DB::connection()))->names() as $table) {
            DB::table($table)->delete();
        }
        DB::statement('SET FOREIGN_KEY_CHECKS = 1');
        self::assertSame(0600, fileperms($path) & 0777);
        self::assertFileDoesNotExist("{$path}.part");
        self::assertSame(0, Card::query()->count());
        self::assertSame(0, $this->restore($path), Artisan::output());
        self::assertSame($before, $this->books());
        self::assertEquals($verdicts, Card::query()->orderBy('tag')->pluck('verdict', 'tag')->all());
        self::assertSame($photo, Photo::query()->sole()->getRawOriginal('jpeg'));
        Artisan::call('tally:judge', ['--all' => true]);
        self::assertEquals($verdicts, Card::query()->orderBy('tag')->pluck('verdict', 'tag')->all());
    }

    public function test_a_damaged_file_is_refused_whole(): void
    {
        $path = $this->backup();
        $before = $this->books();
        $zip = new ZipArchive();
        $zip->open($path);
        $zip->addFromString('tables/cards.jsonl', str_replace('QS-014', 'QS-015', (string) $zip->getFromName('tables/cards.jsonl')));
        $zip->close();
        self::assertSame(2, $this->restore($path));
        self::assertStringContainsString('“cards” is not as it was written', Artisan::output());
        file_put_contents($path, substr((string) file_get_contents($path), 0, 2000));
        self::assertSame(2, $this->restore($path));
        foreach (['nothing' => '', 'no zip' => 'hello'] as $bytes) {
            file_put_contents($path, $bytes);
            self::assertSame(2, $this->restore($path));
        }
        self::assertSame(2, $this->restore('/no/such/file'));
        self::assertSame($before, $this->books());
    }

    public function test_books_of_another_version_and_books_in_use_are_left_alone(): void
    {
        $path = $this->backup();
        $zip = new ZipArchive();
        $zip->open($path);
        $manifest = (string) $zip->getFromName('manifest.json');
        $zip->addFromString('manifest.json', str_replace('create_cards', 'create_maps', $manifest));
        $zip->close();
        self::assertSame(2, $this->restore($path));
        self::assertStringContainsString('of a later version of the program', Artisan::output());
        $whole = $this->backup();
        Run::query()->firstOrFail()->forceFill(['state' => RunState::Running])->save();
        self::assertNotSame(0, $this->restore($whole));
        self::assertStringContainsString('1 runs or offloads are going', Artisan::output());
        self::assertSame(2, Artisan::call('tally:backup', ['file' => '/no/such/folder/books.zip']));
        self::assertStringContainsString('cannot be written', Artisan::output());
    }

    public function test_many_photos_are_files_in_it_and_come_back(): void
    {
        foreach (Card::query()->pluck('id') as $card) {
            Photo::query()->create([
                'card_id' => $card,
                'side' => 'back',
                'jpeg' => random_bytes(1_000_000),
                'width' => 10,
                'height' => 10,
                'recorded_by' => 'Wren',
            ]);
        }
        $sums = fn (): array => DB::table('photos')->orderBy('id')->selectRaw('sha2(jpeg, 256) as sum')->pluck('sum')->all();
        $before = $sums();
        $path = $this->backup();
        $zip = new ZipArchive();
        $zip->open($path);
        self::assertSame(Photo::query()->firstOrFail()->getRawOriginal('jpeg'), $zip->getFromName('files/photos/1-jpeg'));
        DB::table('photos')->delete();
        self::assertSame(0, $this->restore($path), Artisan::output());
        self::assertSame($before, $sums());
    }

    /** @param  array<string, mixed>  $change  of its second row */
    #[DataProvider('wrong')]
    public function test_what_does_not_fit_is_told_by_row_and_column(string $table, array $change, string $says): void
    {
        $path = $this->backup();
        $before = $this->books();
        $this->meddle($path, $table, function (array $rows, array $columns) use ($change): array {
            foreach ($change as $column => $value) {
                $rows[1][array_search($column, $columns, true)] = $value;
            }

            return $rows;
        });
        self::assertSame(2, $this->restore($path));
        self::assertStringContainsString($says, Artisan::output());
        self::assertSame($before, $this->books());
        self::assertSame([], DB::select("SHOW DATABASES LIKE '%\\_aside'"));
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $card = 'Table “cards”, row 2, column ';
        $sample = 'Table “run_samples”, row 2, column “run_id”: It refers to';
        yield 'no card of that number' => ['run_samples', ['run_id' => 999_999], $sample];
        yield 'twice' => ['cards', ['id' => 1], 'It is there twice.'];
        yield 'empty' => ['cards', ['tag' => null], "{$card}“tag”: It is empty, and may not be."];
        yield 'too long' => ['cards', ['tag' => str_repeat('x', 5000)], "{$card}“tag”: It is longer or larger"];
        yield 'too large' => ['cards', ['capacity' => '99999999999999999999999'], "{$card}“capacity”: It is longer or larger"];
        yield 'no number' => ['cards', ['capacity' => 'much'], "{$card}“capacity”: It does not fit"];
        yield 'a list' => ['cards', ['tag' => ['QS-1']], "{$card}“tag”: There is a list where one value belongs."];
        yield 'a file of another table' => ['photos', ['jpeg' => 'tables/cards.jsonl'], 'Table “photos”, row 2, column “jpeg”: Its bytes'];
    }

    public function test_books_without_anybody_and_tables_that_are_missing_or_made_up_are_refused(): void
    {
        $before = $this->books();
        $path = $this->backup();
        $this->meddle($path, 'users', fn (array $rows, array $columns): array => array_map(
            fn (array $row): array => array_replace($row, [(int) array_search('role', $columns, true) => 'viewer']),
            array_slice($rows, 0, 1),
        ));
        self::assertSame(2, $this->restore($path));
        self::assertStringContainsString('it has no lead', Artisan::output());
        $path = $this->backup();
        $this->meddle($path, 'drives', fn (array $rows): array => $rows, 'drivers');
        self::assertSame(2, $this->restore($path));
        self::assertStringContainsString('“drives” is missing, “drivers” is not one of its tables', Artisan::output());
        $path = $this->backup();
        $this->meddle($path, 'cards', fn (array $rows): array => [...$rows, [1, 2]]);
        self::assertSame(2, $this->restore($path));
        self::assertStringContainsString('It has not as many values as the table has columns.', Artisan::output());
        self::assertSame($before, $this->books());
    }

    /**
     * Somebody changes a table and its hash with it.
     *
     * @param  Closure(array<int, array<mixed>>, array<int, string>): array<int, array<mixed>>  $change
     */
    private function meddle(string $path, string $table, Closure $change, ?string $as = null): void
    {
        $zip = new ZipArchive();
        $zip->open($path);
        /** @var array{tables: array<string, array{columns: list<string>}>} $manifest */
        $manifest = json_decode((string) $zip->getFromName('manifest.json'), true);
        $of = $manifest['tables'][$table];
        $rows = array_map(
            fn (string $line): array => (array) json_decode($line, true),
            explode("\n", rtrim((string) $zip->getFromName("tables/{$table}.jsonl"))),
        );
        while (count($rows) < 2) {
            $rows[] = array_replace($rows[0], [0 => 2]);
        }
        $lines = implode('', array_map(fn (array $row): string => json_encode($row)."\n", $change($rows, $of['columns'])));
        unset($manifest['tables'][$table]);
        $manifest['tables'][$as ?? $table] = [...$of, 'sha256' => hash('sha256', $lines)];
        $zip->deleteName("tables/{$table}.jsonl");
        $zip->addFromString('tables/'.($as ?? $table).'.jsonl', $lines);
        $zip->addFromString('manifest.json', (string) json_encode($manifest));
        $zip->close();
    }
}
