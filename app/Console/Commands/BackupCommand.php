<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\BackupFile;
use Illuminate\Console\Command;
use RuntimeException;

/** Exit codes: 0 written, 2 it cannot be. */
final class BackupCommand extends Command
{
    protected $signature = 'tally:backup {file : Where all books are written to, photos included}';

    protected $description = 'Write all books into one file, checked by hash when it is restored';

    public function handle(): int
    {
        $path = $this->argument('file');
        try {
            $rows = BackupFile::write($path, function (string $table, int $rows): void {
                $this->line("{$table}: {$rows}", verbosity: 'v');
            });
        } catch (RuntimeException $fault) {
            $this->error($fault->getMessage());

            return 2;
        }
        $this->info("{$rows} lines of the books are in {$path}. Keep a copy on another drive: what is only in one place is lost with it.");

        return 0;
    }
}
