<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\CaseFile\CaseReader;
use Tally\Practice\Answer;
use Tally\Practice\Call;
use Tally\Practice\Called;
use Tally\Practice\Exercise;
use Tally\Practice\Holds;
use Tally\Practice\Level;
use Tally\Practice\Mistake;
use Tally\Practice\Move;
use Tally\Practice\Trick;
use Tally\Quantity\Bytes;
use Tally\Verdict\Judge;
use Tally\Verdict\VerdictKind;

/** Exercises are made up; that they are what they claim to be is held against the judge, and against what was built into them. */
final class ExerciseTest extends TestCase
{
    /** What each trick is in truth, by the rules of judgement (handbook § 6). */
    private const TRUTHS = [
        'fair' => [VerdictKind::Sound, true],
        'one-row' => [VerdictKind::Sham, false],
        'shows-less' => [VerdictKind::Sham, true],
        'cheap' => [VerdictKind::Sound, true],
        'old-slot' => [VerdictKind::Sound, true],
        'slow-link' => [VerdictKind::Sound, true],
        'slow-card' => [VerdictKind::Slow, false],
        'cliff' => [VerdictKind::Slow, false],
        'holds-on' => [VerdictKind::Sound, true],
        'starts-over' => [VerdictKind::Sham, true],
        'drops' => [VerdictKind::Sham, true],
        'spoils' => [VerdictKind::Sham, true],
        'ends-in-errors' => [VerdictKind::Shaky, false],
        'same-end' => [VerdictKind::Sham, true],
        'bad-spots' => [VerdictKind::Shaky, false],
        'changes-its-mind' => [VerdictKind::Shaky, false],
        'cache-answers' => [VerdictKind::Sham, true],
        'old-bench' => [VerdictKind::Unproven, false],
    ];

    public function test_exercises_of_every_trick_are_solved_by_their_own_shortest_way_and_say_what_the_judge_says(): void
    {
        $tricks = [];
        for ($seed = 1; $seed <= 108; $seed++) {
            $level = Level::from(1 + intdiv($seed, 2) % 6);
            $exercise = Exercise::seeded($level, $seed);
            $answer = Answer::of($exercise);
            $name = "level {$level->value}, seed {$seed}, {$exercise->card->trick->value}";
            $tricks[$exercise->card->trick->value] = true;

            $judged = Judge::judge(CaseReader::read($exercise->case(array_values($exercise->moves)))->evidence);
            self::assertSame($judged->kind, $answer->called->verdict->kind, $name);
            self::assertLessThan(count($exercise->moves), count($answer->way), $name);
            self::assertTrue(Called::after($exercise, $answer->way)->says($answer->called), $name);

            [$verdict, $isOfSize] = self::TRUTHS[$exercise->card->trick->value];
            self::assertSame($verdict, $answer->called->verdict->kind, $name);
            self::assertSame($this->holds($exercise), $answer->called->holds, $name);
            $keeps = $exercise->card->medium->true;
            $isOfSize
                ? self::assertEqualsWithDelta($keeps->count, $answer->called->capacity?->count, $keeps->count / 100, $name)
                : self::assertNull($answer->called->capacity, $name);
            $call = new Call($verdict, $this->holds($exercise), $isOfSize ? $keeps : null);
            self::assertSame([], $call->mistakes($answer->called), $name);
        }
        self::assertCount(count(Trick::cases()), $tricks);
    }

    /** The slowest part, from what was built into card and reader and not from the rules. */
    private function holds(Exercise $exercise): Holds
    {
        $share = $exercise->card->trick === Trick::ChangesItsMind ? 0.45 : 1;
        $card = $share * $exercise->card->medium->read->megabytes();
        $way = $exercise->first->of(INF);

        return match (true) {
            $card <= $way => Holds::Card,
            $exercise->first->link->ceiling()->usable()->isBelow($exercise->first->bus->ceiling()->usable()) => Holds::Link,
            default => Holds::Slot,
        };
    }

    /** @return iterable<string, array{Level}> */
    public static function levels(): iterable
    {
        foreach (Level::cases() as $level) {
            yield $level->words() => [$level];
        }
    }

    #[DataProvider('levels')]
    public function test_no_two_of_a_level_in_a_row_are_of_the_same_kind_and_all_of_them_come(Level $level): void
    {
        $seen = [];
        for ($seed = 1; $seed <= 180; $seed++) {
            $seen[$level->trick($seed)->value] = true;
            self::assertNotSame($level->trick($seed), $level->trick($seed + 1), "seed {$seed}");
        }
        self::assertCount(count($level->tricks()), $seen);
    }

    public function test_no_way_that_takes_less_says_the_same(): void
    {
        for ($seed = 1; $seed <= 4; $seed++) {
            $exercise = Exercise::seeded(Level::from(2 + $seed), $seed);
            $answer = Answer::of($exercise);
            $moves = array_values($exercise->moves);
            foreach (range(0, (1 << count($moves)) - 1) as $bits) {
                $way = array_values(array_filter($moves, fn (int $at): bool => ($bits >> $at & 1) === 1, ARRAY_FILTER_USE_KEY));
                if (Answer::time($way) < $answer->seconds()) {
                    self::assertFalse(Called::after($exercise, $way)->says($answer->called), "seed {$seed}, ways {$bits}");
                }
            }
        }
    }

    public function test_a_seed_always_gives_the_same_exercise_and_another_seed_another(): void
    {
        $case = fn (int $seed): array => Exercise::seeded(Level::Cache, $seed)->case(
            array_values(Exercise::seeded(Level::Cache, $seed)->moves),
        );
        self::assertSame($case(7), $case(7));
        self::assertNotSame($case(7), $case(9));
    }

    public function test_a_cache_answers_until_the_card_was_out(): void
    {
        $exercise = $this->exercise(Level::Cache, Trick::CacheAnswers);
        $after = fn (string ...$moves): VerdictKind => Called::after(
            $exercise,
            array_map(fn (string $id): Move => $exercise->moves[$id], array_values($moves)),
        )->verdict->kind;
        self::assertSame(VerdictKind::Unproven, $after('screen', 'part'));
        self::assertSame(VerdictKind::Sham, $after('screen', 'screen-again'));
    }

    public function test_the_same_end_convicts_only_in_two_readers(): void
    {
        $exercise = $this->exercise(Level::Cache, Trick::SameEnd);
        $after = fn (string ...$moves): VerdictKind => Called::after(
            $exercise,
            array_map(fn (string $id): Move => $exercise->moves[$id], array_values($moves)),
        )->verdict->kind;
        self::assertSame(VerdictKind::Shaky, $after('screen', 'whole'));
        self::assertSame(VerdictKind::Sham, $after('whole', 'whole-again'));
        self::assertSame(VerdictKind::Shaky, $after('whole-again'));
    }

    private function exercise(Level $level, Trick $trick): Exercise
    {
        $seed = 1;
        while ($level->trick($seed) !== $trick) {
            $seed++;
        }

        return Exercise::seeded($level, $seed);
    }

    public function test_a_wrong_call_is_named_by_whom_it_hurts(): void
    {
        $sound = Answer::of($this->exercise(Level::Chain, Trick::SlowLink))->called;
        $sham = Answer::of($this->exercise(Level::Size, Trick::Drops))->called;
        $size = $sound->capacity;
        $call = fn (VerdictKind $kind, Holds $holds, ?Bytes $keeps, Called $answer): array => (new Call($kind, $holds, $keeps))
            ->mistakes($answer);
        self::assertSame([], $call(VerdictKind::Sound, Holds::Link, $size, $sound));
        self::assertSame([Mistake::BlamedCard], $call(VerdictKind::Sound, Holds::Card, $size, $sound));
        self::assertSame([Mistake::OtherLimit], $call(VerdictKind::Sound, Holds::Slot, $size, $sound));
        self::assertSame(
            [Mistake::ConvictedGood, Mistake::WrongSize],
            $call(VerdictKind::Sham, Holds::Link, Bytes::gigabytes(8), $sound),
        );
        self::assertSame([Mistake::LeftOpen, Mistake::WrongSize], $call(VerdictKind::Unproven, Holds::Link, null, $sound));
        $holds = $sham->holds ?? Holds::Card;
        self::assertSame([Mistake::ClearedBad], $call(VerdictKind::Sound, $holds, $sham->capacity, $sham));
        self::assertSame([Mistake::OtherFault], $call(VerdictKind::Shaky, $holds, $sham->capacity, $sham));
    }

    public function test_the_first_figure_is_known_before_anything_is_done_and_settles_nothing_that_is_good(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $exercise = Exercise::seeded(Level::from(1 + intdiv($seed, 2) % 6), $seed);
            $first = Called::after($exercise, []);
            self::assertNotSame(VerdictKind::Sound, $first->verdict->kind, "seed {$seed}");
            self::assertNull($first->capacity, "seed {$seed}");
            self::assertCount(1, $exercise->evidence([])->speeds);
            self::assertGreaterThan(0.0, $exercise->firstFigure());
            self::assertCount(3, $exercise->readers());
            self::assertContains($exercise->first, $exercise->readers());
        }
    }

    public function test_no_exercise_is_of_the_house_and_its_answer_never_names_the_trick_before_it_is_called(): void
    {
        foreach (Level::cases() as $level) {
            $exercise = Exercise::seeded($level, 5);
            $case = (string) json_encode($exercise->case([]));
            self::assertStringNotContainsString('QS-', $case);
            self::assertStringNotContainsString($exercise->card->trick->words(), $case);
            foreach ($exercise->moves as $move) {
                self::assertStringNotContainsString($exercise->card->trick->words(), $move->words());
            }
        }
    }
}
