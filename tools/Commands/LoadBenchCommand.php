<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use Tools\Trial\LoadTrial;
use Tools\Trial\Quantile;

/** Exit codes: 0 no page failed; 1 some did. Times are printed and judge nothing: they are this machine's. */
final class LoadBenchCommand extends Command
{
    protected $signature = 'bench:load
        {--people=50 : How many are at the pages at once}
        {--cards=2000 : How many cards are in the books}
        {--seconds=30 : For how long}';

    private const SEARCHES = 16;

    protected $description = 'Many people at the pages as they are served, during a run';

    public function handle(): int
    {
        [$people, $cards, $seconds] = array_map(fn (string $name): int => max(1, (int) $this->option($name)), [
            'people',
            'cards',
            'seconds',
        ]);
        $this->line("books of {$cards} cards and {$people} people are being made");
        $trial = new LoadTrial(base_path('.run/load'), $people, $cards);
        try {
            $alone = $trial->alone(120);
            $follows = $trial->followed(12);
            ['took' => $took, 'errors' => $errors, 'seconds' => $spent] = $trial->together($seconds);
            $goesOn = $trial->runGoesOn();
            $beside = $trial->besideSearches(self::SEARCHES, min(15, $seconds));
        } finally {
            $trial->end();
        }
        $this->table(
            ['measured', 'figure'],
            [
                ['one reader, '.count($alone).' pages: p50', sprintf('%.1f ms', Quantile::at(0.5, $alone))],
                ['one reader: p95', sprintf('%.1f ms', Quantile::at(0.95, $alone))],
                ['a page that follows a run', sprintf('%.2f kB/s', $follows / 1000)],
                ["{$people} people, ".count($took).' pages', sprintf('%.1f pages a second', count($took) / $spent)],
                ["{$people} people: p50", sprintf('%.0f ms', Quantile::at(0.5, $took))],
                ["{$people} people: p95", sprintf('%.0f ms', Quantile::at(0.95, $took))],
                ['pages that failed', (string) array_sum($errors)],
                ['the run beside it', $goesOn ? 'goes on' : 'has ended'],
                ...array_map(
                    fn (string $what, array $times): array => [
                        self::SEARCHES." plan searches of one person, {$what} beside: p95",
                        sprintf('%.0f ms', Quantile::at(0.95, $times)),
                    ],
                    array_keys($beside),
                    $beside,
                ),
            ],
        );
        foreach ($errors as $page => $times) {
            $this->error("{$times} × {$page}");
        }

        return $errors === [] && $goesOn ? self::SUCCESS : self::FAILURE;
    }
}
