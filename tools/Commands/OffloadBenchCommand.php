<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use Tools\Trial\OffloadTrial;

/** How fast cards come home on this disk, held against doing the same by hand. */
final class OffloadBenchCommand extends Command
{
    protected $signature = 'bench:offload
        {--folder= : Where to write; the temporary folder if not given}
        {--megabytes=2048 : Of mixed files}
        {--small=20000 : Files of 40 kB}
        {--flat=20 : Gigabytes of the larger of two offloads whose memory is compared; 0 leaves it out}';

    protected $description = 'Copy, checksums and read-back held against cp, sync, forgetting and sha256sum';

    public function handle(): int
    {
        $folder = is_string($given = $this->option('folder')) && $given !== '' ? $given : sys_get_temp_dir();
        $trial = new OffloadTrial($folder);
        try {
            $this->mixed($trial, max(16, (int) $this->option('megabytes')));
            $this->small($trial, max(100, (int) $this->option('small')));
            $this->flat($trial, (int) $this->option('flat'));
        } finally {
            $trial->clear();
        }

        return self::SUCCESS;
    }

    private function mixed(OffloadTrial $trial, int $megabytes): void
    {
        $bytes = $trial->mixed($megabytes);
        $hand = $trial->byHand();
        $ours = $trial->ours(1);
        $this->line(sprintf('Mixed files, %d MB', intdiv($bytes, 1_000_000)));
        foreach ($hand as $step => $seconds) {
            $this->line(sprintf('  %-40s %7.2f s', $step, $seconds));
        }
        $this->line(sprintf('  %-40s %7.2f s', 'by hand in all', array_sum($hand)));
        $this->line(sprintf('  %-40s %7.2f s', 'tally:offload, read back and listed', $ours->seconds));
        $this->line(sprintf('  ratio: %.2f times as fast as by hand', array_sum($hand) / $ours->seconds));
        $two = $trial->ours(2);
        $this->line(
            sprintf(
                'Two drives: %.2f s; read of the card %.3f times its bytes, written %.3f times, as its engine counts them.',
                $two->seconds,
                $two->read / $bytes,
                $two->written / $bytes,
            ),
        );
    }

    private function small(OffloadTrial $trial, int $files): void
    {
        $trial->small($files);
        $hand = $trial->byHandWithoutFlush();
        $ours = $trial->ours(1);
        $this->line("{$files} files of 40 kB");
        foreach ($hand as $step => $seconds) {
            $this->line(sprintf('  %-40s %7.2f s', $step, $seconds));
        }
        $this->line(sprintf('  %-40s %7.2f s', 'tally:offload, flushed and read back', $ours->seconds));
        $this->line(sprintf('  ratio: %.2f times as fast', array_sum($hand) / $ours->seconds));
    }

    private function flat(OffloadTrial $trial, int $gigabytes): void
    {
        if ($gigabytes < 2) {
            return;
        }
        $memory = [];
        foreach ([1, $gigabytes] as $size) {
            $trial->large($size);
            $memory[$size] = $trial->ours(1)->memory;
        }
        $this->line(
            sprintf(
                'Memory at the most: %.1f MB for 1 GB, %.1f MB for %d GB.',
                $memory[1] / 1e6,
                $memory[$gigabytes] / 1e6,
                $gigabytes,
            ),
        );
    }
}
