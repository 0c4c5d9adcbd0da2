<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backup\BookTables;
use App\Models\Cards\Card;
use App\Models\Cards\Photo;
use App\Models\Runs\Run;
use App\Runs\RunState;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoModes;
use Database\Seeders\DemoRuns;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;
use ZipArchive;

/** All books into one file and back: every table, every verdict, every photo; a damaged file is refused whole. */
final class BackupTest extends TestCase
{
    use TemporaryFolder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->seed([DemoCards::class, DemoRuns::class, DemoModes::class]);
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
        foreach (BookTables::names() as $table) {
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
        foreach (BookTables::names() as $table) {
            DB::table($table)->delete();
        }
        DB::statement('SET FOREIGN_KEY_CHECKS = 1');
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
        self::assertStringContainsString('another version of the program', Artisan::output());
        $whole = $this->backup();
        Run::query()->firstOrFail()->forceFill(['state' => RunState::Running])->save();
        self::assertNotSame(0, $this->restore($whole));
        self::assertStringContainsString('1 runs or offloads are going', Artisan::output());
        self::assertSame(2, Artisan::call('tally:backup', ['file' => '/no/such/folder/books.zip']));
        self::assertStringContainsString('cannot be written', Artisan::output());
    }
}
