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
        $tasks = [];
        for ($seed = 1; $seed <= 20; $seed++) {
            $tasks["seed {$seed}"] = self::task($seed, 14 + $seed % 17, 3 + $seed % 4, [0.3, 0.6, 0.9, 1.2][$seed % 4]);
        }
        self::assertOptimal($tasks, true);
    }

    /** As many as a page has to hand out in a moment; what they cost is the best where cards are plenty. */
    public function test_30_cards_in_8_places_miss_as_little_as_a_mixed_integer_program(): void
    {
        $tasks = [];
        foreach ([0.3, 0.6, 0.9] as $full) {
            for ($seed = 1; $seed <= 4; $seed++) {
                $tasks["{$full} full, seed {$seed}"] = self::task($seed, 30, 8, $full);
            }
        }
        self::assertOptimal($tasks, false);
    }

    /** @param  array<string, Task>  $tasks  by what to call them */
    private static function assertOptimal(array $tasks, bool $costToo): void
    {
        $programs = $found = [];
        foreach ($tasks as $name => $task) {
            $found[$name] = Search::best($task);
            array_push($programs, self::program($task, $task, true), self::program($task, $task->asMetBy($found[$name][1]), false));
        }
        $solver = new Process(['node', __DIR__.'/node/linear.cjs'], timeout: 120);
        $solver->setInput(json_encode($programs, JSON_THROW_ON_ERROR));
        $solver->mustRun();
        /** @var list<array{float, float}> $optima */
        $optima = array_chunk((array) json_decode($solver->getOutput(), true), 2);
        foreach (array_keys($tasks) as $i => $name) {
            [[$missing, $cost], [$leastMissing, $leastCost]] = [$found[$name], $optima[$i]];
            self::assertEqualsWithDelta($leastMissing, $missing->value, 0.01, "missing, {$name}");
            self::assertLessThanOrEqual($leastMissing + 0.01, $missing->least, "bound of missing, {$name}");
            self::assertLessThanOrEqual($leastCost + 0.01, $cost->least, "bound of cost, {$name}");
            if ($costToo || $cost->isProven()) {
                self::assertEqualsWithDelta($leastCost, $cost->value, 0.01, "cost, {$name}");
            }
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
