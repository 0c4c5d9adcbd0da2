<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\BackupFile;
use App\Backup\BookTables;
use App\Backup\LaidOut;
use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Update;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;
use Tally\Verdict\Judge;

/** Exit codes: 0 the books are of this version, 2 they could not be brought there. */
final class UpdateCommand extends Command
{
    protected $signature = 'tally:update
        {--check : Only say whether the books are of this version}';

    protected $description = 'Bring the books up to date: a backup first, then their changes, then every card judged anew';

    public function handle(): int
    {
        $done = Schema::hasTable('migrations') ? (new BookTables(DB::connection()))->changes() : [];
        $known = array_keys(LaidOut::changes());
        if (array_diff($done, $known) !== []) {
            $this->error('The books are of a later version than this program. Bring it up to date (docs/upgrading.md).');

            return 2;
        }
        $pending = array_diff($known, $done);
        if ($this->option('check') === true) {
            if ($pending !== []) {
                $this->error('The books are of an earlier version than this program. Start the machine that has them with it first.');
            }

            return $pending === [] ? 0 : 2;
        }
        // What is empty needs no backup; it is made by the changes.
        $backup = $pending === [] || ! Schema::hasTable('cards') || ! DB::table('cards')->exists() ? null : $this->backup();
        if ($backup === false) {
            return 2;
        }
        $before = $backup === null ? [] : DB::table('cards')->pluck('verdict', 'tag')->all();
        Artisan::call('migrate', ['--force' => true], $this->output);
        if ($backup !== null) {
            $this->judgeAnew(count($pending), $backup, $before);
        }

        return 0;
    }

    /** @return string|false where it is; false where there is none, and so nothing is changed */
    private function backup(): string|false
    {
        $path = storage_path('app/private/before-'.now()->utc()->format('Ymd-His').'.zip');
        @mkdir(dirname($path), 0700, true);
        try {
            $rows = BackupFile::write($path, fn () => null);
        } catch (RuntimeException $fault) {
            $this->error("{$fault->getMessage()} The books were left as they are: make room for a backup first.");

            return false;
        }
        $this->line("{$rows} lines of the books, as they were, are in {$path}.");

        return $path;
    }

    /** @param  array<mixed>  $before  tag → verdict */
    private function judgeAnew(int $changes, string $backup, array $before): void
    {
        Artisan::call('tally:judge', ['--all' => true]);
        $verdicts = [];
        foreach (Card::query()->orderBy('tag')->get() as $card) {
            $was = $before[$card->tag] ?? null;
            if (is_string($was) && $was !== $card->verdict->value) {
                $now = Judge::judge(CardEvidence::of($card, CardEvidence::runs($card)));
                $verdicts[] = [
                    'card' => $card->tag,
                    'before' => $was,
                    'verdict' => $now->kind->value,
                    'why' => $now->reasons[0]->sentence(),
                ];
            }
        }
        Update::query()->create(['changes' => $changes, 'backup' => $backup, 'verdicts' => $verdicts, 'made_at' => now()]);
        $this->line(count($verdicts).' verdicts changed; the page Updates, behind the house menu, has them.');
    }
}
