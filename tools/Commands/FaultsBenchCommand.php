<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tools\Trial\FaultTrial;
use Tools\Trial\Round;

/** Exit codes: 0 nothing lost, wrongly erased, secured or convicted; 1 something was; 2 could not run. */
final class FaultsBenchCommand extends Command
{
    protected $signature = 'bench:faults
        {--rounds=50 : How many runs and offloads something goes wrong in}
        {--away=60 : How long the database is away, in seconds}
        {--seed= : The same moments and faults again}';

    protected $description = 'Kill, unmount, fill, swap cards, alter copies and set clocks at random moments of real runs and offloads, '.
        'and see what comes of it';

    public function handle(): int
    {
        if (posix_geteuid() !== 0) {
            $this->error('This takes loop devices and mounts: run it as root.');

            return 2;
        }
        $seed = is_string($given = $this->option('seed')) && ctype_digit($given) ? (int) $given : random_int(1, 1_000_000);
        $folder = '/tmp/gritty-tally-faults-'.getmypid();
        mkdir($folder);
        $this->line("seed {$seed}");
        $trial = new FaultTrial($folder, new Randomizer(new Xoshiro256StarStar($seed)), (float) $this->option('away'));
        $rounds = [];
        try {
            for ($i = 1; $i <= max(1, (int) $this->option('rounds')); $i++) {
                $rounds[] = $round = $trial->round();
                $this->line(
                    sprintf(
                        '%3d  %-18s %-27s %-12s %s',
                        $i,
                        $round->what,
                        $round->fault,
                        $round->state,
                        implode('; ', $round->faults),
                    ),
                );
            }
        } finally {
            $trial->end();
            exec('rm -rf '.escapeshellarg($folder));
        }
        $this->summarise($rounds);

        return array_filter($rounds, fn (Round $round): bool => $round->faults !== []) === [] ? self::SUCCESS : self::FAILURE;
    }

    /** @param  list<Round>  $rounds */
    private function summarise(array $rounds): void
    {
        $rows = [];
        foreach (array_unique(array_map(fn (Round $round): string => $round->fault, $rounds)) as $fault) {
            $of = array_filter($rounds, fn (Round $round): bool => $round->fault === $fault);
            $with = fn (string ...$words): int => count(
                array_filter($of, fn (Round $round): bool => array_filter(
                    $round->faults,
                    fn (string $one): bool => in_array(strtok($one, ': '), $words, true),
                ) !== []),
            );
            $states = array_count_values(array_map(fn (Round $round): string => $round->state, $of));
            ksort($states);
            $rows[] = [
                $fault,
                count($of),
                implode(', ', array_map(fn (string $state, int $times): string => "{$times} {$state}", array_keys($states), $states)),
                $with('lost'),
                $with('erased', 'written'),
                $with('convicted'),
                $with('secured', 'may-be-cleared'),
            ];
        }
        $never = ['lost', 'wrongly erased or written', 'convicted', 'wrongly secured'];
        $this->table(['what went wrong', 'rounds', 'in the end', ...$never], $rows);
    }
}
