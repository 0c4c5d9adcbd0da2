<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use Tools\MadeUp\Specimen;
use Tools\MadeUp\Trial;

/**
 * Puts many made-up cards of every kind through full proof, proof with looking back and quick screen, and prints how often each
 * told the truth.
 */
final class FakesBenchCommand extends Command
{
    protected $signature = 'bench:fakes {--seeds=1000 : How many made-up cards} {--points=256 : Places of a screen} {--from=1 : The '.
        'first seed}';

    protected $description = 'How often fakes are caught and recognised, by kind';

    public function handle(): int
    {
        [$seeds, $points, $from] = array_map(
            fn (string $name): int => max(1, is_numeric($given = $this->option($name)) ? (int) $given : 1),
            ['seeds', 'points', 'from'],
        );
        $ways = [
            'full proof' => fn (Specimen $specimen): Trial => Trial::proof($specimen, false),
            'looking back' => fn (Specimen $specimen): Trial => Trial::proof($specimen, true),
            'quick screen' => fn (Specimen $specimen): Trial => Trial::screen($specimen, $points),
        ];
        /** @var array<string, array{n: int, named: int, exact: int, missed: int, wrongful: int}> $rows */
        $rows = [];
        [$stated, $missed, $wrongful] = [0.0, 0, []];
        for ($seed = $from; $seed < $from + $seeds; $seed++) {
            $specimen = Specimen::seeded($seed);
            foreach ($ways as $way => $run) {
                $trial = $run($specimen);
                $row = $rows["{$specimen->kind}/{$way}"] ?? ['n' => 0, 'named' => 0, 'exact' => 0, 'missed' => 0, 'wrongful' => 0];
                $rows["{$specimen->kind}/{$way}"] = [
                    'n' => $row['n'] + 1,
                    'named' => $row['named'] + (int) $trial->isNamed(),
                    'exact' => $row['exact'] + (int) $trial->isExact(),
                    'missed' => $row['missed'] + (int) $trial->isMissed(),
                    'wrongful' => $row['wrongful'] + (int) $trial->isWrongful(),
                ];
                if ($way === 'quick screen') {
                    $stated += $trial->statedMiss($points);
                    $missed += $trial->isMissed() ? 1 : 0;
                }
                if ($trial->isWrongful() || ($way !== 'quick screen' && ! $trial->isExact())) {
                    $wrongful[] = "seed {$seed}, {$way}: {$specimen->medium->line()} was ".
                        "called {$trial->result->diagnosis->condition->value} ({$trial->verdict->value}), ".
                        "{$trial->result->diagnosis->capacity->count} bytes";
                }
            }
        }
        ksort($rows);
        $this->table(
            ['kind', 'way', 'cards', 'kind right', 'capacity and lap exact', 'missed', 'verdict wrong'],
            array_map(
                fn (string $key, array $row): array => [
                    ...explode('/', $key),
                    $row['n'],
                    $row['named'],
                    $row['exact'],
                    $row['missed'],
                    $row['wrongful'],
                ],
                array_keys($rows),
                $rows,
            ),
        );
        $total = fn (string $way, string $what): int => array_sum(
            array_map(fn (string $key, array $row): int => str_ends_with($key, "/{$way}") ? $row[$what] : 0, array_keys($rows), $rows),
        );
        foreach (array_keys($ways) as $way) {
            $this->line(
                sprintf(
                    '%-13s kind right %.2f %%, exact %.2f %%, missed %d, verdict wrong %d of %d',
                    $way,
                    (100 * $total($way, 'named')) / $total($way, 'n'),
                    (100 * $total($way, 'exact')) / $total($way, 'n'),
                    $total($way, 'missed'),
                    $total($way, 'wrongful'),
                    $total($way, 'n'),
                ),
            );
        }
        $this->line(
            sprintf('The screens missed %d; by what is stated of %d places, up to %.1f were expected.', $missed, $points, $stated),
        );
        foreach (array_slice($wrongful, 0, 20) as $line) {
            $this->line($line);
        }

        return self::SUCCESS;
    }
}
