<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Offload\Change;
use Tally\Offload\Decision;
use Tally\Offload\Load;
use Tally\Offload\PlacedCard;
use Tally\Offload\Plan;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;
use Tally\Offload\Question\Verify;
use Tally\Offload\Reckon\PartKind;
use Tally\Offload\WhatIf;

/** Imports that build previews: copy and previews overlap, and the time is the longer of the two. Common practice, no source. */
final class PreviewsTest extends TestCase
{
    /** 100 GB in 1000 files on each card, 250 MB/s each: 400 s of copying. */
    private static function question(float $previews, int $cards = 1, ?Rules $rules = null): Question
    {
        return new Question(
            [new Host('Cart', [], [new Port('p1'), new Port('p2')], previews: $previews)],
            [new Reader('R1', [new ReaderSlot('left', ['UHS-II' => 290e6]), new ReaderSlot('right', ['UHS-II' => 290e6])])],
            [new Drive('D1', 5e12, 5e12, inside: 'Cart'), new Drive('D2', 5e12, 5e12, inside: 'Cart')],
            array_map(fn (int $i): LadenCard => new LadenCard("C{$i}", 100e9, 1000, 250e6, buses: ['UHS-II']), range(1, $cards)),
            links: ['R1' => 'Cart p1'],
            rules: $rules ?? new Rules(1, Verify::None, first: 0.0, overhead: 0.0),
        );
    }

    /** @return iterable<string, array{float, int, float}> files a second, cards, seconds */
    public static function imports(): iterable
    {
        yield 'none are built' => [INF, 1, 400.0];
        yield 'faster than the copy' => [2.6, 1, 400.0];
        yield 'slower than the copy' => [2.0, 1, 500.0];
        yield 'two imports share one processor' => [4.0, 2, 500.0];
        yield 'enough for two' => [5.1, 2, 400.0];
    }

    #[DataProvider('imports')]
    public function test_an_import_takes_the_longer_of_copying_and_previewing(float $previews, int $cards, float $seconds): void
    {
        $plan = Plan::of(self::question($previews, $cards));
        self::assertEqualsWithDelta($seconds, $plan->course->done, 1e-6);
        self::assertLessThanOrEqual($plan->course->done + 1e-9, $plan->bound);
    }

    /** 400 s at the copy's own speed, whatever the first one had to wait for. */
    public function test_only_the_first_of_straight_copies_is_an_import(): void
    {
        $question = self::question(2.0, 1, new Rules(2, Verify::None, Scheme::Straight, first: 0.0, overhead: 0.0));
        foreach ([['D1', 'D2'], ['D2', 'D1']] as $drives) {
            $decision = new Decision(['R1' => 'Cart p1'], [new PlacedCard('C1', 'R1 left', 1, $drives, scheme: Scheme::Straight)]);
            self::assertEqualsWithDelta(900.0, Plan::decided($question, Goal::Safe, $decision)->course->done, 1e-6);
        }
    }

    public function test_where_previews_are_the_limit_that_is_said_and_nothing_else_helps(): void
    {
        $plan = Plan::of(self::question(1.0, 2));
        self::assertSame(PartKind::Previews, Load::of($plan)[0]->part->kind);
        self::assertEqualsWithDelta(1.0, Load::of($plan)[0]->share, 1e-9);
        $found = WhatIf::of($plan, 0.02);
        self::assertCount(1, $found, 'no card, reader or drive helps');
        self::assertSame(Change::NoPreviews, $found[0]->proposals[0]->change);
        self::assertEqualsWithDelta(1600.0, $found[0]->saves, 1e-6);
    }
}
