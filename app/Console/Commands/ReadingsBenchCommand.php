<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Tally\Probe\SustainedRun;
use Tally\Reading\Compare\TwinGroups;
use Tally\Reading\Compare\Twins;
use Tally\Reading\Course\CourseReading;
use Tally\Reading\Limit\LimitedBy;
use Tally\StandIn\Grid;
use Tally\StandIn\Scenario;
use Tally\StandIn\StandInClock;
use Tally\StandIn\StandInDevice;

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
            $clock = new StandInClock();
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

    private static function course(Scenario $truth, StandInClock $clock): CourseReading
    {
        $result = (new SustainedRun())->on(new StandInDevice($truth->medium, $clock), $clock);

        return CourseReading::of($result->trace, $result->floor);
    }

    private function grids(int $count): void
    {
        $limit = ['right' => 0, 'wrong' => 0, 'undecided' => 0];
        $twins = [
            'pairs found' => 0,
            'of them false (over 5 % apart)' => 0,
            'twins on a chain that held neither back' => 0,
            'of them found' => 0,
        ];
        for ($seed = 1; $seed <= $count; $seed++) {
            $grid = Grid::seeded($seed);
            foreach (['write', 'read'] as $way) {
                foreach ($grid->limits($way)->rulings as $ruling) {
                    $limit[
                        match ($ruling->by) {
                            LimitedBy::Undecided => 'undecided',
                            $grid->truth($ruling->cell->card, $ruling->cell->reader, $way) => 'right',
                            default => 'wrong',
                        }
                    ]++;
                }
            }
            $candidates = $grid->candidates();
            foreach ($candidates as $i => $one) {
                foreach (array_slice($candidates, $i + 1) as $other) {
                    $isFound = TwinGroups::arePair($one, $other);
                    $isTrue =
                        $one->chain === $other->chain &&
                        ! $one->isHeldBack &&
                        ! $other->isHeldBack &&
                        $grid->areTwins($one->card, $other->card);
                    $twins['pairs found'] += $isFound ? 1 : 0;
                    $twins['of them false (over 5 % apart)'] +=
                        $isFound && $grid->areApart($one->card, $other->card, Twins::MARGIN) ? 1 : 0;
                    $twins['twins on a chain that held neither back'] += $isTrue ? 1 : 0;
                    $twins['of them found'] += $isTrue && $isFound ? 1 : 0;
                }
            }
        }
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
