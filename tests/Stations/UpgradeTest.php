<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Backup\LaidOut;
use App\Models\Cards\Card;
use App\Models\People\User;
use App\Models\Runs\Run;
use App\Models\Update;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Inertia\Testing\AssertableInertia;
use Symfony\Component\Process\Process;

/** From the books of the first version that was landed, with its demo, to those of today; and a backup of the first kind. */
final class UpgradeTest extends StationTestCase
{
    private string $usual = '';

    private string $storage = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->usual = DB::connection()->getDatabaseName();
        $this->storage = $this->folder();
        foreach (['app/private', 'framework/cache', 'framework/views', 'logs'] as $folder) {
            mkdir("{$this->storage}/{$folder}", recursive: true);
        }
        DB::unprepared("DROP DATABASE IF EXISTS `{$this->usual}_old`; CREATE DATABASE `{$this->usual}_old` CHARACTER SET utf8mb4");
        $this->use("{$this->usual}_old");
    }

    protected function tearDown(): void
    {
        $this->use($this->usual);
        DB::unprepared("DROP DATABASE IF EXISTS `{$this->usual}_old`");
        parent::tearDown();
    }

    private function use(string $books): void
    {
        config(['database.connections.mariadb.database' => $books]);
        DB::purge();
    }

    /** @return array<string, string> how each table is made, and what happens when its rows change */
    private function layout(): array
    {
        $layout = ['triggers' => DB::select(
            'SELECT trigger_name, action_timing, event_manipulation, event_object_table, action_statement FROM '.
                'information_schema.triggers WHERE trigger_schema = DATABASE() ORDER BY trigger_name',
        )];
        foreach (Schema::getTableListing(DB::connection()->getDatabaseName(), false) as $table) {
            $made = (array) DB::selectOne("SHOW CREATE TABLE `{$table}`");
            $layout[$table] = preg_replace('/ AUTO_INCREMENT=\d+/', '', (string) json_encode($made['Create Table'] ?? ''));
        }
        ksort($layout);

        return array_map(fn (mixed $made): string => (string) json_encode($made), $layout);
    }

    private function artisanProcess(string ...$command): Process
    {
        $process = new Process(
            [PHP_BINARY, base_path('artisan'), ...$command],
            base_path(),
            ['DB_DATABASE' => "{$this->usual}_old", 'LARAVEL_STORAGE_PATH' => $this->storage],
            timeout: 120,
        );
        $process->run();

        return $process;
    }

    public function test_the_first_books_are_brought_up_to_date_with_a_backup_and_every_card_judged_anew(): void
    {
        DB::unprepared((string) gzdecode((string) file_get_contents(base_path('tests/fixtures/books-of-the-first-schema.sql.gz'))));
        $before = DB::table('cards')->orderBy('tag')->pluck('verdict', 'tag')->all();
        self::assertCount(13, $before);
        $check = $this->artisanProcess('tally:update', '--check');
        self::assertSame(2, $check->getExitCode());
        self::assertStringContainsString('of an earlier version', $check->getOutput());

        $update = $this->artisanProcess('tally:update');
        self::assertSame(0, $update->getExitCode(), $update->getOutput().$update->getErrorOutput());
        self::assertSame(0, $this->artisanProcess('tally:update', '--check')->getExitCode());
        DB::purge();
        self::assertSame(array_keys($before), Card::query()->orderBy('tag')->pluck('tag')->all());
        self::assertGreaterThan(20, Run::query()->whereNotNull('result')->count());
        // Laid out as new books are, which come from database/schema and not by way of all that changed before.
        $upgraded = $this->layout();
        $this->use($this->usual);
        $new = $this->layout();
        $this->use("{$this->usual}_old");
        self::assertGreaterThan(50, count($new));
        self::assertSame($new, $upgraded, 'bin/schema was not run after the last migration');
        $kept = Update::query()->sole();
        self::assertSame(count(LaidOut::changes()) - 3, $kept->changes);
        self::assertSame(0600, fileperms($kept->backup) & 0777);
        $changed = [];
        foreach (Card::query()->orderBy('tag')->get() as $card) {
            if ($card->verdict->value !== $before[$card->tag]) {
                $changed[$card->tag] = $card->verdict->value;
            }
        }
        self::assertSame($changed, array_column($kept->verdicts, 'verdict', 'card'));
        $this->get('/updates')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->has('updates.0.verdicts', count($changed)),
        );
        foreach (['intake', 'inspect', 'measure', 'prove', 'fit', 'offload', 'ledger'] as $stage) {
            foreach (array_keys($before) as $tag) {
                $this->get("/{$stage}/{$tag}")->assertOk();
            }
        }
        // The backup that it made is of those first books, and comes back into those of today; it has nobody, and that is said.
        $restore = $this->artisanProcess('tally:restore', $kept->backup, '--yes');
        self::assertSame(2, $restore->getExitCode());
        self::assertStringContainsString('it has no lead', $restore->getOutput());
    }

    public function test_a_backup_of_the_first_kind_comes_back(): void
    {
        self::assertSame(0, $this->artisanProcess('tally:update')->getExitCode());
        $restore = $this->artisanProcess('tally:restore', base_path('tests/fixtures/backup-of-the-first-kind.zip'), '--yes');
        self::assertSame(0, $restore->getExitCode(), $restore->getOutput().$restore->getErrorOutput());
        DB::purge();
        self::assertSame(29, Card::query()->count());
        self::assertSame(['Moss', 'Teal', 'Wren'], User::query()->orderBy('name')->pluck('name')->all());
        self::assertNotNull(Run::query()->where('kind', 'proof')->firstOrFail()->proof());
    }
}
