<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Practice\PracticeRound;
use App\Practice\NotAMove;
use App\Practice\RoundBook;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Practice\Answer;
use Tally\Practice\Call;
use Tally\Practice\Holds;
use Tally\Practice\Level;
use Tally\Practice\Mistake;
use Tally\Quantity\Bytes;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/** Rounds as they are kept: whose they are, what was done in which order, and what is drawn next. */
final class RoundBookTest extends TestCase
{
    public function test_moves_are_kept_in_the_order_in_which_they_were_made(): void
    {
        $round = RoundBook::begin('Wren', Level::Cache, 9);
        foreach (['whole', 'inspect', 'screen'] as $move) {
            RoundBook::move($round, $move);
        }
        $round->refresh();
        $done = $round->done($round->exercise());
        self::assertSame(['whole', 'inspect', 'screen'], array_map(fn ($move): string => $move->id, $done));
        self::assertSame(array_sum(array_map(fn ($move): int => $move->seconds, $done)), Answer::time($done));
    }

    /** @return iterable<string, array{string, non-empty-string}> */
    public static function refused(): iterable
    {
        yield 'what cannot be done' => ['boil', '“boil” is nothing that can be done here. One of these would do: inspect, '];
        yield 'what was done' => ['screen', '“Quick screen, 64 places, over '];
    }

    /** @param  non-empty-string  $sentence */
    #[DataProvider('refused')]
    public function test_a_move_that_cannot_be_made_is_refused_in_words(string $move, string $sentence): void
    {
        $round = RoundBook::begin('Wren', Level::Size, 9);
        RoundBook::move($round, 'screen');
        try {
            RoundBook::move($round, $move);
            self::fail("{$move} was taken");
        } catch (NotAMove $fault) {
            self::assertStringStartsWith($sentence, $fault->getMessage());
        }
        self::assertSame(['screen'], $round->refresh()->moves);
    }

    public function test_figures_are_of_one_person_and_of_called_rounds_alone(): void
    {
        $mine = RoundBook::begin('Wren', Level::Size, 9);
        RoundBook::begin('Wren', Level::Size, 10);
        $theirs = RoundBook::begin('Moss', Level::Size, 11);
        $wrong = new Call(VerdictKind::Unproven, Holds::Card, Bytes::gigabytes(1));
        RoundBook::call($mine, $wrong);
        RoundBook::call($theirs, $wrong);
        $called = RoundBook::called('Wren');
        self::assertSame([$mine->id], $called->pluck('id')->all());
        self::assertContains(Mistake::LeftOpen, $called[0]?->mistaken() ?? []);
        self::assertEquals($wrong, $called[0]?->call());
        self::assertSame([], RoundBook::called('nobody')->all());
    }

    public function test_a_level_never_gives_the_kind_of_the_round_before_and_keeps_what_went_wrong(): void
    {
        $drawn = [];
        for ($at = 0; $at < 40; $at++) {
            $round = RoundBook::begin('Wren', Level::Look, null);
            $answer = Answer::of($round->exercise())->called;
            $isWeak = $round->trick->value === 'one-row';
            RoundBook::call(
                $round,
                new Call($isWeak ? VerdictKind::Unproven : $answer->verdict->kind, $answer->holds ?? Holds::Card, $answer->capacity),
            );
            $drawn[] = $round->trick->value;
        }
        $times = array_count_values($drawn);
        foreach (array_slice($drawn, 1) as $at => $trick) {
            self::assertNotSame($drawn[$at], $trick);
        }
        self::assertSame($times['one-row'] ?? 0, PracticeRound::query()->whereJsonContains('mistakes', 'left-open')->count());
    }

    public function test_a_round_of_before_opens_with_what_its_exercise_still_knows(): void
    {
        $round = RoundBook::begin('Wren', Level::Size, 4);
        $round->update(['moves' => ['measure:P9', 'screen']]);
        self::assertSame(['screen'], array_map(fn ($move): string => $move->id, $round->refresh()->done($round->exercise())));
        $this->get("/practice/{$round->id}")->assertOk();
    }
}
