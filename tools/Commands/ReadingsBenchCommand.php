<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use Tally\Probe\SustainedRun;
use Tally\Reading\Course\CourseReading;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tools\MadeUp\Grid;
use Tools\MadeUp\GridScore;
use Tools\MadeUp\Scenario;

/** How well long writes, the fit of limits and the search for twins tell what made-up cards and readers are in truth. */
final class ReadingsBenchCommand extends Command
{
    protected $signature = 'bench:readings {--scenarios=200 : How many, each from its own seed}';

    protected $description = 'Compare what the readings tell with what made-up cards and readers are';

    public function handle(): int
    {
        $errors = ['cliff position' => [], 'plateau speed' => [], 'sustained floor' => [], 'share lost to heat' => []];
        $wrong = ['cliffs missed' => 0, 'cliffs that are none' => 0, 'fading missed' => 0, 'fading that is none' => 0];
        $count = max(1, (int) $this->option('scenarios'));
        for ($seed = 1; $seed <= $count; $seed++) {
            $truth = Scenario::seeded($seed);
            $clock = new SimulatedClock();
            $reading = self::course($truth, $clock);
            $cliffs = $reading->cliffs();
            $wrong['cliffs missed'] += $truth->cliff !== null && $cliffs === [] ? 1 : 0;
            $wrong['cliffs that are none'] += max(0, count($cliffs) - ($truth->cliff === null ? 0 : 1));
            $wrong['fading missed'] += $truth->fade > 0 && $reading->fade === null ? 1 : 0;
            $wrong['fading that is none'] += $truth->fade <= 0 && $reading->fade !== null ? 1 : 0;
            if ($truth->cliff !== null && $truth->fast !== null && $cliffs !== []) {
                $errors['cliff position'][] = abs($cliffs[0] / $truth->cliff->count - 1);
                $last = $reading->plateaus[count($reading->plateaus) - 1]->rate;
                $errors['plateau speed'][] = max(
                    abs($reading->plateaus[0]->rate->over($truth->fast) - 1),
                    abs($last->over($truth->slow) - 1),
                );
            }
            if ($reading->floor !== null) {
                $errors['sustained floor'][] = abs($reading->floor->rate->over($truth->last()) - 1);
            }
            if ($truth->fade > 0 && $reading->fade !== null) {
                $errors['share lost to heat'][] = abs($reading->fade->lost - $truth->fade);
            }
        }
        $percent = fn (float $share): string => number_format(100 * $share, 2).' %';
        $this->table(
            ['what', 'scenarios', 'median off', 'most off'],
            array_map(
                function (string $what, array $off) use ($percent): array {
                    sort($off);

                    return [$what, count($off), $percent($off[intdiv(count($off), 2)] ?? 0.0), $percent($off === [] ? 0.0 : max($off))];
                },
                array_keys($errors),
                array_values($errors),
            ),
        );
        $this->table(
            ['of '.$count.' scenarios', ''],
            array_map(fn (string $what, int $times): array => [$what, $times], array_keys($wrong), array_values($wrong)),
        );

        $this->grids($count);

        return self::SUCCESS;
    }

    private static function course(Scenario $truth, SimulatedClock $clock): CourseReading
    {
        $result = (new SustainedRun())->on(new SimulatedDevice($truth->medium, $clock), $clock);

        return CourseReading::of($result->trace, $result->floor);
    }

    private function grids(int $count): void
    {
        $score = new GridScore();
        for ($seed = 1; $seed <= $count; $seed++) {
            $score->add(Grid::seeded($seed));
        }
        $limit = ['right' => $score->right, 'wrong' => $score->wrong, 'undecided' => $score->undecided];
        $twins = [
            'pairs found' => $score->pairs,
            'of them false (over 5 % apart)' => $score->false,
            'twins on a chain that held neither back' => $score->twins,
            'of them found' => $score->found,
        ];
        $decided = max(1, $limit['right'] + $limit['wrong']);
        $this->table(
            ['limiting link, of '.array_sum($limit).' figures', '', ''],
            array_map(
                fn (string $what, int $times): array => [
                    $what,
                    $times,
                    $what === 'undecided' ? '' : number_format((100 * $times) / $decided, 2).' % of decided',
                ],
                array_keys($limit),
                array_values($limit),
            ),
        );
        $this->table(
            ['twins', ''],
            array_map(fn (string $what, int $times): array => [$what, $times], array_keys($twins), array_values($twins)),
        );
    }
}
