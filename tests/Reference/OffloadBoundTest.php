<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tally\Offload\Question\Question;
use Tally\Offload\Search\Bound;
use Tally\Offload\Search\LeastWork;
use Tally\Offload\Search\Relaxed;
use Tally\Offload\Search\Sorted;
use Tests\Support\RandomOffload;

/** The bound of a plan against the same as a linear program, solved by HiGHS (npm's highs). */
final class OffloadBoundTest extends TestCase
{
    public function test_the_bound_is_that_of_the_linear_program_or_a_little_less(): void
    {
        $questions = array_map(
            function (int $seed): Question {
                $question = RandomOffload::of($seed, 4 + $seed % 6, 2 + $seed % 4, 2 + $seed % 3, isOpen: $seed % 4 === 0);

                return Sorted::question($question);
            },
            range(1, 40),
        );
        $solver = new Process(['node', __DIR__.'/node/linear.cjs'], timeout: 60);
        $solver->setInput(json_encode(array_map(self::program(...), $questions), JSON_THROW_ON_ERROR));
        $solver->mustRun();
        $optima = (array) json_decode($solver->getOutput(), true);
        $shares = [];
        foreach ($questions as $i => $question) {
            $least = $optima[$i] ?? null;
            self::assertIsNumeric($least);
            $least = $question->rules->first + (float) $least;
            $work = LeastWork::of(Relaxed::network($question));
            self::assertNotNull($work);
            $expected = max($least, $work->longestAlone(), $work->handsAlone());
            $bound = Bound::of($question)->seconds;
            self::assertLessThanOrEqual($expected * (1 + 1e-6), $bound);
            $shares[] = $bound / $expected;
        }
        self::assertGreaterThan(0.9, min($shares));
        self::assertGreaterThan(0.98, array_sum($shares) / count($shares));
    }

    /** Every card in pieces over all that can be chosen for it, everything with no more to do than T: the least T. */
    private static function program(Question $question): string
    {
        $work = LeastWork::of(Relaxed::network($question));
        self::assertNotNull($work);
        $loads = array_fill_keys($work->things(), '');
        $whole = $names = [];
        foreach (array_keys($question->cards) as $card) {
            $pieces = [];
            foreach ($work->choices($card) as $i => [$slot, $scheme, $drives]) {
                $pieces[] = "x_{$card}_{$i}";
                foreach ($work->uses($card, $slot, $scheme, $drives) as $thing => $seconds) {
                    $loads[$thing] .= sprintf(' + %.9f x_%d_%d', $seconds, $card, $i);
                }
            }
            $whole[] = " card{$card}: ".implode(' + ', $pieces).' = 1';
        }
        foreach ($loads as $thing => $sum) {
            $names[] = sprintf(' thing%d:%s - T <= %.9f', $thing, $sum, $work->spared()[$thing] ?? 0.0);
        }

        return "Minimize\n obj: T\nSubject To\n".implode("\n", [...$whole, ...$names])."\nEnd\n";
    }
}
