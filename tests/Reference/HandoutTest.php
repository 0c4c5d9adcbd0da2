<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tally\Shoot\Handout\Search;
use Tally\Shoot\Handout\Task;
use Tally\Shoot\Whole\Kinds;
use Tests\Support\RandomShoot;

/** Which card goes where, against every way there is, and against a mixed-integer program solved by HiGHS (npm's highs). */
final class HandoutTest extends TestCase
{
    private static function task(int $seed, int $cards, int $places, float $full): Task
    {
        $question = RandomShoot::of($seed, $cards, $places, $full);

        return (new Kinds($question, $question->places()))->task;
    }

    public function test_it_is_the_best_of_every_way_there_is_on_200_small_shoots(): void
    {
        $short = $tight = 0;
        for ($seed = 1; $seed <= 200; $seed++) {
            $task = self::task($seed, 2 + $seed % 5, 1 + $seed % 3, [0.2, 0.5, 0.8, 1.2][$seed % 4]);
            [$missing, $cost] = Search::best($task);
            self::assertTrue($missing->isProven() && $cost->isProven(), "seed {$seed}");
            self::assertSame($missing->value, $task->missing($cost->taken), "seed {$seed}");
            self::assertSame($cost->value, $task->cost($cost->taken), "seed {$seed}");
            self::assertEquals([$missing->value, $cost->value], self::ofAll($task, $task->asMetBy($cost)), "seed {$seed}");
            $short += $missing->value > 0 ? 1 : 0;
            $tight += $missing->value === 0 && $cost->value > 0 ? 1 : 0;
        }
        self::assertGreaterThan(40, $short);
        self::assertGreaterThan(40, $tight);
    }

    /** @return array{int, int} the least that can be missing; and of all ways that meet what is met, the least cost */
    private static function ofAll(Task $task, Task $met): array
    {
        $cards = [];
        foreach ($task->stock as $kind => $count) {
            array_push($cards, ...array_fill(0, $count, $kind));
        }
        $none = array_map(fn (): array => array_map(fn (): int => 0, $task->stock), $task->needs);
        $least = $cheapest = PHP_INT_MAX;
        foreach (self::ways($task, $cards, $none) as $taken) {
            $least = min($least, $task->missing($taken));
            $cheapest = $met->missing($taken) === 0 ? min($cheapest, $task->cost($taken)) : $cheapest;
        }

        return [$least, $cheapest];
    }

    /**
     * @param  list<int>  $cards  their kinds
     * @param  array<int, array<int, int>>  $taken
     * @return iterable<array<int, array<int, int>>>
     */
    private static function ways(Task $task, array $cards, array $taken): iterable
    {
        $kind = array_pop($cards);
        if ($kind === null) {
            yield $taken;

            return;
        }
        yield from self::ways($task, $cards, $taken);
        foreach (array_keys($task->needs) as $place) {
            if ($task->gives[$place][$kind] > 0) {
                $with = $taken;
                $with[$place][$kind]++;
                yield from self::ways($task, $cards, $with);
            }
        }
    }

    public function test_it_is_as_good_as_a_mixed_integer_program_on_20_larger_shoots(): void
    {
        $tasks = $programs = $found = [];
        for ($seed = 1; $seed <= 20; $seed++) {
            $task = self::task($seed, 14 + $seed % 17, 3 + $seed % 4, [0.3, 0.6, 0.9, 1.2][$seed % 4]);
            // More looks than a page has time for: at those of a page, one of the 20 misses two minutes more.
            $best = Search::best($task, 300_000);
            array_push($programs, self::program($task, $task, true), self::program($task, $task->asMetBy($best[1]), false));
            [$tasks[], $found[]] = [$task, $best];
        }
        $solver = new Process(['node', __DIR__.'/node/linear.cjs'], timeout: 120);
        $solver->setInput(json_encode($programs, JSON_THROW_ON_ERROR));
        $solver->mustRun();
        $optima = (array) json_decode($solver->getOutput(), true);
        foreach ($found as $i => [$missing, $cost]) {
            self::assertEqualsWithDelta($optima[2 * $i], $missing->value, 0.01, 'missing, seed '.($i + 1));
            self::assertEqualsWithDelta($optima[2 * $i + 1], $cost->value, 0.01, 'cost, seed '.($i + 1));
            self::assertLessThanOrEqual($missing->value, $missing->least);
        }
    }

    /** Cards of each kind to places, no more than there are: the least missing; or with nothing missing, the least cost. */
    private static function program(Task $task, Task $met, bool $mayMiss): string
    {
        $aim = $rows = $whole = [];
        $used = array_map(fn (): array => [], $task->stock);
        foreach ($met->needs as $place => $need) {
            $sum = $mayMiss ? ["m{$place}"] : ["0 m{$place}"];
            $aim[] = $mayMiss ? "m{$place}" : "0 m{$place}";
            foreach (array_filter($met->gives[$place], fn (int $points): bool => $points > 0) as $kind => $points) {
                $sum[] = "{$points} y{$place}_{$kind}";
                $aim[] = ($mayMiss ? 0 : $task->costs[$place][$kind])." y{$place}_{$kind}";
                $used[$kind][] = $whole[] = "y{$place}_{$kind}";
            }
            $rows[] = " place{$place}: ".implode(' + ', $sum)." >= {$need}";
        }
        foreach (array_filter($used, fn (array $names): bool => $names !== []) as $kind => $names) {
            $rows[] = " kind{$kind}: ".implode(' + ', $names)." <= {$task->stock[$kind]}";
        }

        return "Minimize\n obj: ".implode(' + ', $aim)."\nSubject To\n".implode("\n", $rows)."\nGeneral\n ".implode(' ', $whole)."\nEnd\n";
    }
}
