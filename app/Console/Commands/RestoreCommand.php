<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\NotABackup;
use App\Backup\Restoring;
use Illuminate\Console\Command;

/** Exit codes: 0 restored, 1 not confirmed, 2 the file is refused. */
final class RestoreCommand extends Command
{
    protected $signature = 'tally:restore
        {file : What tally:backup wrote}
        {--yes : Replace the books without asking}';

    protected $description = 'Put the books of a backup in the place of those that are there: all of it, or nothing';

    public function handle(): int
    {
        try {
            $backup = Restoring::open($this->argument('file'));
            $asked = "The books of {$backup->madeAt()} replace all that is in the books now. Replace them?";
            if ($this->option('yes') !== true && ! $this->confirm($asked)) {
                $this->line('Nothing was replaced.');

                return 1;
            }
            $rows = $backup->replace(function (string $table, int $rows): void {
                $this->line("{$table}: {$rows}", verbosity: 'v');
            });
        } catch (NotABackup $fault) {
            $this->error($fault->getMessage());

            return 2;
        }
        $this->info("{$rows} lines are in the books again. Whoever is signed in may have to sign in again.");

        return 0;
    }
}
