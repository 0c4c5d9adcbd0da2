<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use Tools\Trial\PhotosTrial;

/** Exit codes: 0 it came back; 1 it did not. What it took is printed and judges nothing. */
final class BackupBenchCommand extends Command
{
    protected $signature = 'bench:backup {--megabytes=1000 : Photos in the books} {--at= : A folder with room for four times as much}';

    protected $description = 'Backup and restore of books with many photos: seconds and memory';

    public function handle(): int
    {
        $folder = is_string($at = $this->option('at')) ? "{$at}/tally-backup-bench" : base_path('.run/backup-bench');
        $trial = new PhotosTrial($folder);
        $file = "{$folder}/books.zip";
        try {
            $bytes = $trial->begin((int) $this->option('megabytes'));
            [$backup, $seconds, $most] = $trial->run('tally:backup', $file);
            [$restore, $back, $mostBack] = $trial->run('tally:restore', $file, '--yes');
            $size = (int) @filesize($file);
        } finally {
            $trial->end();
            @unlink($file);
        }
        $this->table(
            ['measured', 'figure'],
            [
                ['photos in the books', sprintf('%.2f GB', $bytes / 1e9)],
                ['the file', sprintf('%.2f GB', $size / 1e9)],
                ['backup, read back', sprintf('%.0f s, %.0f MB of memory', $seconds, $most)],
                ['restore', sprintf('%.0f s, %.0f MB of memory', $back, $mostBack)],
            ],
        );

        return $backup === 0 && $restore === 0 ? self::SUCCESS : self::FAILURE;
    }
}
