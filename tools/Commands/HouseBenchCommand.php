<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use Tools\Trial\HouseTrial;
use Tools\Trial\ScratchDatabase;

/** Exit codes: 0 always, where every page answers. Times are printed and judge nothing: they are this machine's. */
final class HouseBenchCommand extends Command
{
    protected $signature = 'bench:house
        {--cards=2000 : How many cards are in the books}
        {--runs=40000 : How many runs of three years}';

    protected $description = 'How long each page takes on the server in a house that has lived for years';

    public function handle(): int
    {
        [$cards, $runs] = [max(10, (int) $this->option('cards')), max(10, (int) $this->option('runs'))];
        $this->line("a house of {$cards} cards and {$runs} runs is being made");
        $trial = new HouseTrial(new ScratchDatabase(base_path('.run/house')), $cards, $runs);
        try {
            $trial->begin();
            $rows = [];
            foreach ($trial->pages() as $page) {
                [$took, $queries] = $trial->asked($page);
                $rows[] = [$page, sprintf('%.0f ms', $took), (string) $queries];
            }
            [$seconds, $memory, $slices] = $trial->reported();
        } finally {
            $trial->end();
        }
        $this->table(['page', 'on the server', 'queries'], $rows);
        $this->line(sprintf('a report of three years: %.1f s in %d slices, %.0f MB of memory', $seconds, $slices, $memory));

        return self::SUCCESS;
    }
}
