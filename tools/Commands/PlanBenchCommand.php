<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use Tally\Offload\Plan;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tools\Trial\BooksOffload;
use Tools\Trial\MadeUpOffload;

/** How good plans are for the time that they take: on made-up offloads from the gear of a cart, and on those of the books. */
final class PlanBenchCommand extends Command
{
    /** Seconds of search. */
    private const SHORT = 0.15;

    private const SIZES = [4, 8, 12, 16, 20];

    protected $signature = 'bench:plan {--seeds=6 : How many offloads of each size} {--long=10 : Seconds of the long search}';

    protected $description = 'How long plans take, how far they are above the bound, and what a longer search still finds';

    public function handle(): int
    {
        $seeds = max(1, (int) $this->option('seeds'));
        $long = max(0.2, (float) $this->option('long'));
        $head = ['cards', 'ms, median', 'ms, longest', '% above the bound, median', "150 ms to {$long} s"];

        $this->line('Made up: six slots and four drives on seven ports, two of them behind a hub; ports are left to the planner.');
        $this->table(
            $head,
            array_map(
                fn (int $cards): array => $this->row(
                    array_map(fn (int $seed): Question => MadeUpOffload::of($seed, $cards), range(1, $seeds)),
                    1,
                    $long,
                ),
                self::SIZES,
            ),
        );
        if (BooksOffload::of(1) === null) {
            $this->line('From the books: no card of them carries footage that can be planned.');

            return self::SUCCESS;
        }
        $this->line('From the books: their kit, their rates, their cards with footage as often over as it takes; each planned as often.');
        $this->table(
            $head,
            array_map(
                fn (int $cards): array => $this->row(array_filter([BooksOffload::of($cards)]), $seeds, $long),
                self::SIZES,
            ),
        );

        return self::SUCCESS;
    }

    /**
     * @param  array<Question>  $questions  of one size
     * @param  int  $times  that each is planned
     * @return list<string|int>
     */
    private function row(array $questions, int $times, float $long): array
    {
        $took = $gaps = $ratios = [];
        $cards = 0;
        foreach ($questions as $question) {
            $cards = count($question->cards);
            $again = $times;
            do {
                $start = hrtime(true);
                $plan = Plan::of($question, Goal::Safe, self::SHORT);
                $took[] = (hrtime(true) - $start) / 1e6;
            } while (--$again > 0);
            $gaps[] = 100 * ($plan->course->done / $plan->bound - 1);
            if ($cards === 12) {
                $ratios[] = $plan->course->done / Plan::of($question, Goal::Safe, $long)->course->done;
            }
        }

        return [
            $cards,
            sprintf('%.0f', self::median($took)),
            sprintf('%.0f', max(0.0, ...$took)),
            sprintf('%.1f', self::median($gaps)),
            $ratios === [] ? '' : sprintf('%.3f', self::median($ratios)),
        ];
    }

    /** @param  list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);

        return $values[intdiv(count($values), 2)] ?? 0.0;
    }
}
