<?php

declare(strict_types=1);

namespace Tests\Core\Verdict;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Verdict\Topic;
use Tally\Verdict\VerdictKind;
use Tests\Support\JudgesCases;

/** A class is a minimum, and so is a sustained claim: handbook § 6 rules 6, 7 and 9, house rules. */
final class FloorRulesTest extends TestCase
{
    use JudgesCases;

    /** @return iterable<string, array{list<array<string, mixed>>, VerdictKind}> runs of a V60 card */
    public static function longWrites(): iterable
    {
        yield 'never under it' => [[self::long([['32 GB', '60 MB/s']])], VerdictKind::Sound];
        yield 'under it' => [[self::long([['32 GB', '59.9 MB/s']])], VerdictKind::Slow];
        yield 'a mean above it and a part under it' => [[self::long([['50 GB', '150 MB/s'], ['50 GB', '45 MB/s']])], VerdictKind::Slow];
        yield 'a quarter of it is long' => [[self::long([['32 GB', '90 MB/s']])], VerdictKind::Sound];
        yield 'less is not' => [[self::long([['31.9 GB', '90 MB/s']])], VerdictKind::Unproven];
        yield 'a short one under it convicts nobody either' => [[self::long([['31.9 GB', '50 MB/s']])], VerdictKind::Unproven];
        yield 'the worst of several decides' => [
            [self::long([['100 GB', '90 MB/s']]), self::long([['40 GB', '50 MB/s']])],
            VerdictKind::Slow,
        ];
        yield 'a long one on a slow chain hides nothing' => [
            [
                self::long([['100 GB', '35 MB/s']], ['reader' => 'R9', 'bus' => 'UHS-II', 'link' => 'USB 480 Mb/s']),
                self::long([['64 GB', '38 MB/s']]),
            ],
            VerdictKind::Slow,
        ];
        yield 'nor does it blame' => [
            [self::long([['100 GB', '35 MB/s']], ['reader' => 'R9', 'bus' => 'UHS-II', 'link' => 'USB 480 Mb/s'])],
            VerdictKind::Unproven,
        ];
        yield 'kept up on any chain' => [[self::long([['64 GB', '61 MB/s']], null)], VerdictKind::Sound];
        yield 'the write pass of a proof is one' => [[self::proof(61)], VerdictKind::Sound];
        yield 'also of a proof that was stopped' => [
            [self::proof(more: ['written' => '40 GB', 'read_back' => '0 GB', 'course' => [['40 GB', '55 MB/s']], 'stopped' => true])],
            VerdictKind::Slow,
        ];
        yield 'all that a file system gave is not all of the card' => [
            [self::proof(more: [
                'mode' => 'folder', 'shows' => '9 GB', 'written' => '9 GB', 'read_back' => '9 GB', 'course' => [['9 GB', '121 MB/s']],
            ])],
            VerdictKind::Unproven,
        ];
        yield 'faster than the bus on paper is no figure' => [[self::long([['64 GB', '400 MB/s']])], VerdictKind::Unproven];
    }

    /** @param  list<array<string, mixed>>  $runs */
    #[DataProvider('longWrites')]
    public function test_the_lowest_window_of_every_long_write_counts(array $runs, VerdictKind $expected): void
    {
        self::assertOn(Topic::SpeedClass, $expected, self::judged(self::V60, $runs));
    }

    public function test_ten_gigabytes_of_a_small_card_are_long_and_all_of_a_smaller_one(): void
    {
        $on = fn (string $label, string $written): ?VerdictKind => self::judged($label, [
            self::long([[$written, '20 MB/s']], self::ORDINARY),
        ])->on(Topic::SpeedClass);
        self::assertSame(VerdictKind::Sound, $on('16GB SDHC I U1 90MB/s read', '10 GB'));
        self::assertSame(VerdictKind::Unproven, $on('16GB SDHC I U1 90MB/s read', '9.9 GB'));
        self::assertSame(VerdictKind::Sound, $on('8GB SDHC I U1 90MB/s read', '7.5 GB'));
        self::assertSame(VerdictKind::Unproven, $on('8GB SDHC I U1 90MB/s read', '4 GB'));
    }

    /** @return iterable<string, array{list<float>, VerdictKind, string}> readings in MB/s against V30, what is said, by which reason */
    public static function shortOnes(): iterable
    {
        yield 'three under it convict' => [[29, 28.5, 29.5], VerdictKind::Slow, 'class-readings-under'];
        yield 'uneven, and all under it' => [[20, 18, 12, 19, 20], VerdictKind::Slow, 'class-readings-under'];
        yield 'two are a single look' => [[20, 20.1], VerdictKind::Unproven, 'class-single-look'];
        yield 'one too, however good' => [[31], VerdictKind::Unproven, 'class-single-look'];
        yield 'the interval holds the floor' => [[31, 29, 28], VerdictKind::Unproven, 'class-too-close'];
        yield 'short ones never acquit' => [[86, 86.1, 86.2], VerdictKind::Unproven, 'class-no-long-write'];
        yield 'one outlier of five is left out' => [[29, 29.1, 28.9, 29, 80], VerdictKind::Slow, 'class-readings-under'];
        yield 'of four it is not' => [[29, 29.1, 28.9, 80], VerdictKind::Unproven, 'class-too-close'];
    }

    /** @param  list<float>  $readings */
    #[DataProvider('shortOnes')]
    public function test_short_readings_convict_together_and_never_acquit(array $readings, VerdictKind $expected, string $id): void
    {
        $verdict = self::judged(self::V30, [self::readings($readings, self::ORDINARY)]);
        self::assertOn(Topic::SpeedClass, $expected, $verdict);
        self::assertSays($id, $verdict);
    }

    public function test_readings_are_counted_by_the_run(): void
    {
        $twice = [self::readings([20, 20.1], self::ORDINARY), [...self::readings([20.2, 20.3], self::ORDINARY), 'on' => '2026-11-02']];
        self::assertOn(Topic::SpeedClass, VerdictKind::Unproven, self::judged(self::V30, $twice));
    }

    public function test_what_is_left_out_and_what_is_struck_is_named(): void
    {
        $verdict = self::judged(self::V30, [
            self::readings([86, 86.1, 86.2, 86, 20], self::ORDINARY),
            self::proof(86, 92, ['chain' => self::ORDINARY]),
        ]);
        self::assertVerdict(VerdictKind::Sound, $verdict);
        self::assertStringContainsString(
            'Run 5 lies apart from the others and is left out.',
            self::assertSays('reading-left-out', $verdict)->sentence(),
        );
    }

    public function test_a_sustained_claim_is_judged_like_a_class(): void
    {
        $label = '512GB CFexpress Type B 1700MB/s read 1400MB/s write sustained 850MB/s';
        $chain = ['reader' => 'R5', 'bus' => 'CFexpress 2.0 B', 'link' => 'USB 20 Gb/s'];
        self::assertOn(Topic::Sustained, VerdictKind::Sound, self::judged($label, [self::long([['128 GB', '850 MB/s']], $chain)]));
        self::assertOn(
            Topic::Sustained,
            VerdictKind::Slow,
            self::judged($label, [self::long([['64 GB', '1300 MB/s'], ['64 GB', '800 MB/s']], $chain)]),
        );
        self::assertOn(Topic::Sustained, VerdictKind::Unproven, self::judged($label, [self::speed(1350, 1600, $chain)]));
        self::assertOn(
            Topic::Sustained,
            VerdictKind::Unproven,
            self::judged($label, [
                self::long([['100 GB', '390 MB/s']], ['reader' => 'R5', 'bus' => 'CFexpress 2.0 B', 'link' => 'USB 5 Gb/s']),
            ]),
        );
        // Kept open, it keeps the card from being Sound.
        $whole = self::proof(390, 390, [
            'chain' => ['reader' => 'R5', 'bus' => 'CFexpress 2.0 B', 'link' => 'USB 5 Gb/s'],
            'shows' => '512 GB',
            'written' => '512 GB',
            'read_back' => '512 GB',
            'course' => [['512 GB', '390 MB/s']],
        ]);
        self::assertVerdict(VerdictKind::Unproven, self::judged('512GB CFexpress Type B sustained 850MB/s', [$whole]));
    }

    public function test_each_printed_promise_gets_a_line(): void
    {
        $verdict = self::judged('512GB CFexpress Type B VPG400 1700MB/s read 1400MB/s write sustained 850MB/s');
        foreach ([Topic::Read, Topic::Write, Topic::Sustained, Topic::SpeedClass, Topic::Capacity] as $topic) {
            self::assertOn($topic, VerdictKind::Unproven, $verdict);
        }
    }

    public function test_the_passes_of_a_proof_settle_claims(): void
    {
        self::assertVerdict(VerdictKind::Sound, self::judged(self::V60, [self::proof(121, 235)]));
        // A cache that reached the claim at the beginning has reached it.
        $cached = self::judged('128GB SDXC II U3 V30 250MB/s read 130MB/s write', [
            self::proof(more: ['course' => [['30 GB', '128 MB/s'], ['97.87 GB', '50 MB/s']]]),
        ]);
        self::assertOn(Topic::Write, VerdictKind::Sound, $cached);
        self::assertVerdict(VerdictKind::Sound, $cached);
    }
}
