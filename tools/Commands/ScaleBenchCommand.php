<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use Tools\Trial\Quantile;
use Tools\Trial\Scale\ScaleTrial;

/** Exit codes: 0 all answered; 1 a page failed. Times are printed and judge nothing: they are this machine's. */
final class ScaleBenchCommand extends Command
{
    protected $signature = 'bench:scale
        {--cards=50000}
        {--runs=1000000 : In the books before anything is measured}
        {--benches=10}
        {--people=30 : How many are at the pages at once}
        {--seconds=30 : For how long}';

    protected $description = 'A house on many machines: books, a replica, two web copies and benches, all on ports of this one';

    public function handle(): int
    {
        [$cards, $runs, $benches, $people, $seconds] = array_map(
            fn (string $name): int => max(1, (int) $this->option($name)),
            ['cards', 'runs', 'benches', 'people', 'seconds'],
        );
        $this->line("a house of {$cards} cards, {$runs} runs, {$benches} benches and {$people} people is being made");
        $folder = sys_get_temp_dir().'/gritty-scale-'.getmypid();
        $trial = new ScaleTrial($folder, max(10, $cards), $runs, max(2, $benches), people: $people);
        $rows = [];
        $tell = function (string $what, string $figure) use (&$rows): void {
            $rows[] = [$what, $figure];
        };
        try {
            $trial->begin();
            [$rate, $size] = $trial->idle(10);
            $tell('the books', sprintf('%.0f MB', $size));
            $tell('questions to the books while all benches are idle', sprintf('%.0f a second', $rate));
            $before = $trial->askedOfReplica();
            $tell('one reader, pages of a card', self::spread($trial->alone($trial->cardPage(...), 210)));
            $tell('one reader, the tray searched', self::spread($trial->alone($trial->search(...), 120)));
            $tell('one reader, the tray at first', self::spread($trial->alone(fn (): string => '/pulse', 30)));
            $tell('questions of these that the replica answered', (string) ($trial->askedOfReplica() - $before));
            $tell('the replica is behind what was written', self::spread($trial->behind(50)));
            $begun = array_map(fn (float $one): float => 1000 * $one, $trial->ordered());
            $tell('a run ordered at every bench at once begins', self::spread($begun));
            ['took' => $took, 'errors' => $errors, 'seconds' => $spent] = $trial->together($seconds);
            $tell("{$people} people", sprintf('%.0f pages a second', count($took) / $spent));
            $tell("{$people} people, pages of a card", self::spread($took));
            $tell('pages that failed', (string) array_sum($errors));
        } finally {
            $trial->end();
        }
        $this->table(['measured', 'figure'], $rows);
        foreach ($errors as $page => $often) {
            $this->error("{$often} × {$page}");
        }

        return $errors === [] ? self::SUCCESS : self::FAILURE;
    }

    /** @param  list<float>  $took  milliseconds */
    private static function spread(array $took): string
    {
        return sprintf('%.0f ms, p95 %.0f ms', Quantile::at(0.5, $took), Quantile::at(0.95, $took));
    }
}
