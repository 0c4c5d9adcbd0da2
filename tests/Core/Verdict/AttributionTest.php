<?php

declare(strict_types=1);

namespace Tests\Core\Verdict;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Verdict\Topic;
use Tally\Verdict\VerdictKind;
use Tests\Support\JudgesCases;

/** Whose fault a shortfall is: handbook § 6 rules 3, 4, 5 and 12, house rules, each on both sides of its edge. */
final class AttributionTest extends TestCase
{
    use JudgesCases;

    /** @return iterable<string, array{string, array<string, mixed>, VerdictKind}> label, run, what is said of reading */
    public static function readings(): iterable
    {
        // (a) UHS-II gives 200 at the least: a tenth above 181 it is sure, above 182 it is not.
        yield 'the low end is a tenth above the promise' => [
            '128GB SDXC II U3 V60 181MB/s read',
            self::speed(null, 0.7 * 181),
            VerdictKind::Slow,
        ];
        yield 'the low end is not a tenth above it, and the figure could be the chain’s' => [
            '128GB SDXC II U3 V60 270MB/s read',
            self::speed(null, 181, self::GOOD),
            VerdictKind::Unproven,
        ];
        // (b) at or under nine tenths of the lowest low end the chain cannot be what held it.
        yield 'nine tenths of the low end' => [
            '128GB SDXC II U3 V60 270MB/s read',
            self::speed(null, 179.8, self::GOOD),
            VerdictKind::Slow,
        ];
        yield 'an upper end of practice clears no link' => [
            '512GB CFexpress 4.0 Type B 3700MB/s read',
            self::speed(null, 2700, ['reader' => 'R8', 'bus' => 'CFexpress 4.0 B', 'link' => 'USB4 40 Gb/s']),
            VerdictKind::Unproven,
        ];
        yield 'far under it is the card' => [
            '512GB CFexpress 4.0 Type B 3700MB/s read',
            self::speed(null, 1900, ['reader' => 'R8', 'bus' => 'CFexpress 4.0 B', 'link' => 'USB4 40 Gb/s']),
            VerdictKind::Slow,
        ];
        // The two words between: 75 % makes no verdict, and nothing is rounded up.
        yield '75 % is said and makes no verdict' => [
            '128GB SDXC I 80MB/s read',
            self::speed(null, 60.1, self::ORDINARY),
            VerdictKind::Sound,
        ];
        yield 'under 75 % is Slow' => ['128GB SDXC I 77MB/s read', self::speed(null, 57.6, self::ORDINARY), VerdictKind::Slow];
        yield '90 % of a claim is reached on any chain' => [
            '128GB SDXC II U3 V60 280MB/s read',
            self::speed(null, 252.3, ['reader' => 'C1', 'bus' => 'UHS-II', 'link' => 'USB 5 Gb/s', 'camera' => true]),
            VerdictKind::Sound,
        ];
        yield '89.6 % is not 90 %' => ['128GB SDXC II U3 V60 280MB/s read', self::speed(null, 250.9, self::GOOD), VerdictKind::Unproven];
        // Who never qualifies.
        yield 'a camera as its own reader' => [
            '128GB SDXC II U3 V60 160MB/s read',
            self::speed(null, 30, ['reader' => 'C1', 'bus' => 'UHS-II', 'link' => 'USB 5 Gb/s', 'camera' => true]),
            VerdictKind::Unproven,
        ];
        yield 'a chain that nobody named' => ['128GB SDXC II U3 V60 160MB/s read', self::speed(null, 30, null), VerdictKind::Unproven];
        yield 'a double-rate card in an ordinary reader' => [
            '256GB SDXC I U3 V30 170MB/s read',
            self::speed(null, 90, self::ORDINARY),
            VerdictKind::Unproven,
        ];
        yield 'the same in its matching reader' => [
            '256GB SDXC I U3 V30 170MB/s read',
            self::speed(null, 164, ['reader' => 'R4', 'bus' => 'UHS-I double rate', 'link' => 'USB 5 Gb/s']),
            VerdictKind::Sound,
        ];
        yield 'a two-row card on USB 480 Mb/s' => [
            '128GB SDXC II U3 V60 280MB/s read',
            self::speed(null, 36, ['reader' => 'R2', 'bus' => 'UHS-II', 'link' => 'USB 480 Mb/s']),
            VerdictKind::Unproven,
        ];
    }

    /** @param  array<string, mixed>  $run */
    #[DataProvider('readings')]
    public function test_a_shortfall_is_the_cards_only_where_the_chain_cannot_have_held_it(
        string $label,
        array $run,
        VerdictKind $expected,
    ): void {
        self::assertOn(Topic::Read, $expected, self::judged($label, [$run]));
    }

    /** @return iterable<string, array{string, array<string, mixed>, VerdictKind}> what the reader reached, chain, of reading 190 of 280 */
    public static function seen(): iterable
    {
        yield '(c) seen to carry nine tenths of the promise' => ['252.1 MB/s', self::GOOD, VerdictKind::Slow];
        yield 'seen to carry less' => ['251.9 MB/s', self::GOOD, VerdictKind::Unproven];
        yield 'seen to carry it over a faster link than this' => [
            '285 MB/s',
            ['reader' => 'R2', 'bus' => 'UHS-II', 'link' => 'USB 480 Mb/s'],
            VerdictKind::Unproven,
        ];
        yield 'another reader' => ['285 MB/s', ['reader' => 'R1', 'bus' => 'UHS-II', 'link' => 'USB 10 Gb/s'], VerdictKind::Unproven];
    }

    /** @param  array<string, mixed>  $chain */
    #[DataProvider('seen')]
    public function test_a_reader_that_was_seen_to_carry_it_is_not_to_blame(string $reached, array $chain, VerdictKind $expected): void
    {
        $figure = $chain['link'] === 'USB 480 Mb/s' ? 36 : 190;
        $house = ['house' => ['readers' => [['name' => 'R2', 'reached' => $reached]]]];
        self::assertOn(
            Topic::Read,
            $expected,
            self::judged('128GB SDXC II U3 V60 280MB/s read', [self::speed(null, $figure, $chain)], $house),
        );
    }

    public function test_a_reader_with_two_rows_clears_nothing_for_a_card_with_one(): void
    {
        $house = ['house' => ['readers' => [['name' => 'R2', 'reached' => '285 MB/s']]]];
        self::assertOn(Topic::Read, VerdictKind::Unproven, self::judged('SDXC 128GB V30 up to 170MB/s', [self::speed(null, 90)], $house));
    }

    /** @return iterable<string, array{string, array<string, mixed>, VerdictKind}> label, what was seen, of reading 90 over UHS-II */
    public static function unprinted(): iterable
    {
        yield 'nothing printed that needs a second row' => ['SDXC 128GB V30 170MB/s', [], VerdictKind::Unproven];
        yield 'one row seen' => ['SDXC 128GB V30 170MB/s', ['contact_rows' => 1], VerdictKind::Unproven];
        yield 'two rows seen' => ['SDXC 128GB V30 170MB/s', ['contact_rows' => 2], VerdictKind::Slow];
        yield 'a mark that needs two' => ['SDXC 128GB V60 170MB/s', [], VerdictKind::Slow];
        yield 'a claim that needs two' => ['SDXC 128GB V30 250MB/s', [], VerdictKind::Slow];
    }

    /** @param  array<string, mixed>  $seen */
    #[DataProvider('unprinted')]
    public function test_a_bus_that_nobody_printed_is_the_slowest_that_is_plausible(string $label, array $seen, VerdictKind $expected): void
    {
        self::assertOn(Topic::Read, $expected, self::judged($label, [self::speed(null, 90)], ['seen' => $seen]));
    }

    public function test_a_bus_that_nobody_printed_is_the_fastest_when_asked_what_is_too_fast(): void
    {
        $verdict = self::judged('SDXC 128GB V30 170MB/s', [self::speed(null, 240)]);
        self::assertNull(self::reason($verdict, 'figure-struck'));
        self::assertSays('figure-struck', self::judged('SDXC 128GB I V30 100MB/s', [self::speed(null, 240)]));
        self::assertSays(
            'figure-struck',
            self::judged('SDXC 128GB V30 170MB/s', [self::speed(null, 240, more: ['source' => 'typed'])], [
                'seen' => ['contact_rows' => 1],
            ]),
        );
    }

    public function test_a_double_rate_is_not_taken_for_a_cache(): void
    {
        $matching = ['reader' => 'R4', 'bus' => 'UHS-I double rate', 'link' => 'USB 5 Gb/s'];
        $label = '256GB SDXC I U3 V30 90MB/s write';
        self::assertNull(self::reason(self::judged($label, [self::speed(84, 164, $matching)]), 'figure-struck'));
        self::assertSays('figure-struck', self::judged($label, [self::speed(84, 164, self::ORDINARY)]));
        self::assertSays('figure-struck', self::judged($label, [self::speed(84, 209, $matching)]));
    }

    public function test_a_class_says_nothing_over_a_bus_it_is_not_defined_for(): void
    {
        $verdict = self::judged('128GB SDXC II U3 V90 300MB/s read', [self::long([['64 GB', '95 MB/s']], self::ORDINARY)]);
        self::assertStringContainsString(
            'V90: not judged here. It is defined from UHS-II up, and this was over UHS-I.',
            self::assertSays('class-other-bus', $verdict)->sentence(),
        );
        // The lesser mark of the same label is judged there.
        self::assertSame('U3', self::assertSays('class-met', $verdict)->figures['mark'] ?? null);
        self::assertOn(
            Topic::SpeedClass,
            VerdictKind::Slow,
            self::judged('128GB SDXC II U3 V90 300MB/s read', [self::long([['64 GB', '25 MB/s']], self::ORDINARY)]),
        );
        self::assertOn(
            Topic::SpeedClass,
            VerdictKind::Unproven,
            self::judged('512GB SDXC Express E300 800MB/s read', [self::long([['128 GB', '290 MB/s']])]),
        );
        self::assertOn(
            Topic::SpeedClass,
            VerdictKind::Sound,
            self::judged('512GB SDXC Express E300 800MB/s read', [
                self::long([['128 GB', '310 MB/s']], ['reader' => 'R7', 'bus' => 'SD Express', 'link' => 'USB 10 Gb/s']),
            ]),
        );
    }

    public function test_the_best_figure_decides_a_claim_wherever_it_was_reached(): void
    {
        $slow = self::speed(40, 90, self::GOOD);
        self::assertOn(Topic::Read, VerdictKind::Slow, self::judged(self::V60, [$slow]));
        self::assertOn(
            Topic::Read,
            VerdictKind::Sound,
            self::judged(self::V60, [$slow, self::speed(null, 240, ['reader' => 'R1', 'bus' => 'UHS-II', 'link' => 'USB 5 Gb/s'])]),
        );
    }

    /**
     * @param  array<string, mixed>  $run
     * @param  array<string, mixed>  $house
     */
    private static function said(string $id, array $run, array $house = []): string
    {
        return self::assertSays($id, self::judged('128GB SDXC II U3 V60 280MB/s read', [$run], $house))->sentence();
    }

    public function test_a_conviction_says_what_clears_the_chain(): void
    {
        self::assertStringEndsWith(
            'V60 promises 60 MB/s. Its chain gives 200 MB/s at the least.',
            self::said('class-floor-missed', self::long([['64 GB', '41 MB/s']])),
        );
        self::assertStringEndsWith(
            'well short of the label. Its chain gives 200 MB/s at the least.',
            self::said('claim-well-short', self::speed(null, 150)),
        );
        $house = [
            'house' => [
                'readers' => [
                    ['name' => 'R2', 'reached' => '252 MB/s'],
                    ['name' => 'R2', 'reached' => '261 MB/s'],
                    ['name' => 'R9', 'reached' => '280 MB/s'],
                ],
            ],
        ];
        self::assertStringEndsWith(
            'well short of the label. R2 was seen to carry 261 MB/s.',
            self::said('claim-well-short', self::speed(null, 190), $house),
        );
        // What is under the label convicts nobody, and needs no ground.
        self::assertStringEndsWith('under the label.', self::said('claim-under', self::speed(null, 220), $house));
    }

    public function test_a_slower_chain_beside_a_better_one_blames_nobody(): void
    {
        // 25 is under nine tenths of what USB 480 Mb/s gives, but the card was seen to do more elsewhere.
        $runs = [
            self::speed(null, 190, self::GOOD),
            self::speed(null, 25, ['reader' => 'R9', 'bus' => 'UHS-II', 'link' => 'USB 480 Mb/s']),
        ];
        self::assertOn(Topic::Read, VerdictKind::Unproven, self::judged('128GB SDXC II U3 V60 280MB/s read', $runs));
    }

    public function test_percentages_are_never_rounded_in_the_cards_favour(): void
    {
        $says = fn (float $read): string => self::assertSays(
            'claim-under',
            self::judged('128GB SDXC I 77MB/s read', [self::speed(null, $read, self::ORDINARY)]),
        )->sentence();
        self::assertStringContainsString('89 % of the label’s 77 MB/s', $says(0.8999 * 77));
        self::assertStringContainsString('75 % of the label’s 77 MB/s', $says(0.7599 * 77));
    }
}
