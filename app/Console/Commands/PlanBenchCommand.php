<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Trial\MadeUpOffload;
use Illuminate\Console\Command;
use Tally\Offload\Plan;
use Tally\Offload\Question\Goal;

/** How good plans are for the time that they take, on made-up offloads from the gear of a cart. */
final class PlanBenchCommand extends Command
{
    /** Seconds of search. */
    private const SHORT = 0.15;

    protected $signature = 'bench:plan {--seeds=6 : How many offloads of each size} {--long=10 : Seconds of the long search}';

    protected $description = 'How long plans take, how far they are above the bound, and what a longer search still finds';

    public function handle(): int
    {
        $seeds = max(1, (int) $this->option('seeds'));
        $long = max(0.2, (float) $this->option('long'));
        $rows = [];
        foreach ([4, 8, 12, 16, 20] as $cards) {
            [$times, $gaps, $ratios] = [[], [], []];
            for ($seed = 1; $seed <= $seeds; $seed++) {
                $question = MadeUpOffload::of($seed, $cards);
                $start = hrtime(true);
                $plan = Plan::of($question, Goal::Safe, self::SHORT);
                $times[] = (hrtime(true) - $start) / 1e6;
                $gaps[] = 100 * ($plan->course->done / $plan->bound - 1);
                if ($cards === 12) {
                    $ratios[] = $plan->course->done / Plan::of($question, Goal::Safe, $long)->course->done;
                }
            }
            $rows[] = [
                $cards,
                sprintf('%.0f', self::median($times)),
                sprintf('%.0f', max(0.0, ...$times)),
                sprintf('%.1f', self::median($gaps)),
                $ratios === [] ? '' : sprintf('%.3f', self::median($ratios)),
            ];
        }
        $this->table(['cards', 'ms, median', 'ms, longest', '% above the bound, median', "150 ms to {$long} s"], $rows);
        $this->line('Six slots and four drives on seven ports, two of them behind a hub; ports are left to the planner.');

        return self::SUCCESS;
    }

    /** @param  list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);

        return $values[intdiv(count($values), 2)] ?? 0.0;
    }
}
