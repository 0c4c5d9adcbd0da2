<?php

declare(strict_types=1);

namespace Tests\Core\Verdict;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Evidence\Evidence;
use Tally\Inspection\Question;
use Tally\Inspection\Seen;
use Tally\Label\Bus;
use Tally\Label\Line\LabelReader;
use Tally\Verdict\Judge;
use Tally\Verdict\Reason;
use Tally\Verdict\Topic;
use Tally\Verdict\VerdictKind;
use Tests\Support\JudgesCases;

/** What a look, a single reading, the bench and the print itself may say, and what they may not: handbook § 6 rules 3, 5, 9, 10. */
final class LookRulesTest extends TestCase
{
    use JudgesCases;

    private const ONE_ROW = ['seen' => ['contact_rows' => 1]];

    public function test_a_figure_that_only_two_rows_carry_outweighs_a_look(): void
    {
        $verdict = self::judged(self::V60, [self::speed(121, 240), self::proof()], self::ONE_ROW);
        self::assertVerdict(VerdictKind::Sound, $verdict);
        $says = self::assertSays('contact-rows-outweighed', $verdict)->sentence();
        self::assertStringContainsString('which only two rows carry: look again', $says);
        self::assertOn(Topic::Contact, VerdictKind::Unproven, $verdict);
    }

    /** @return iterable<string, array{array<string, mixed>}> figures that do not */
    public static function tooLittle(): iterable
    {
        yield 'what one row carries too' => [self::speed(60, 95)];
        yield 'typed' => [self::speed(60, 240, more: ['source' => 'typed'])];
        yield 'a single reading' => [[...self::speed(null, 240), 'read' => ['240 MB/s']]];
        yield 'over a slot that knows one row' => [self::speed(60, 240, self::ORDINARY)];
        yield 'on a chain that nobody named' => [self::speed(60, 240, null)];
    }

    /** @param  array<string, mixed>  $run */
    #[DataProvider('tooLittle')]
    public function test_nothing_less_outweighs_it(array $run): void
    {
        self::assertVerdict(VerdictKind::Sham, self::judged(self::V60, [$run], self::ONE_ROW));
    }

    public function test_whoever_convicts_by_a_look_is_named_with_the_day(): void
    {
        $label = LabelReader::read(self::V60)->label()?->withContactRows(1);
        self::assertNotNull($label);
        $answer = Question::ContactRows->answer('one');
        self::assertNotNull($answer);
        $seen = new Seen(Question::ContactRows, $answer, 'Wren', '3 Nov 2026');
        $verdict = Judge::judge(new Evidence($label, seen: [$seen]));
        self::assertVerdict(VerdictKind::Sham, $verdict);
        self::assertStringContainsString('Seen by Wren on 3 Nov 2026.', self::assertSays('contact-rows', $verdict)->sentence());
    }

    public function test_a_single_look_convicts_nobody_and_counts_for_what_it_reached(): void
    {
        $read = self::read(...);
        $on = self::onRead(...);
        self::assertSame(VerdictKind::Unproven, $on($read('60 MB/s')));
        self::assertSame(VerdictKind::Unproven, $on($read('60 MB/s', '61 MB/s')));
        self::assertSame(VerdictKind::Slow, $on($read('60 MB/s', '61 MB/s', '60 MB/s')));
        self::assertSame(VerdictKind::Unproven, $on([...$read('60 MB/s', '61 MB/s', '60 MB/s'), 'bytes' => '10 MB']));
        self::assertSame(VerdictKind::Sound, $on($read('93 MB/s')));
        // It did so much once: then it is not slower than that.
        self::assertSame(VerdictKind::Unproven, $on($read('60 MB/s', '61 MB/s', '60 MB/s'), $read('80 MB/s')));
        self::assertSame(VerdictKind::Slow, $on($read('60 MB/s', '61 MB/s', '60 MB/s'), $read('65 MB/s')));
    }

    public function test_what_the_bench_itself_gives_is_not_the_cards(): void
    {
        $label = '1TB CFexpress 4.0 Type B 3700MB/s read 3500MB/s write';
        $chain = ['reader' => 'R8', 'bus' => 'CFexpress 4.0 B', 'link' => 'USB4 40 Gb/s'];
        $house = ['house' => ['engine' => ['write' => '1500 MB/s', 'read' => '2700 MB/s']]];
        $near = self::judged($label, [self::speed(1450, 2500, $chain)], $house);
        self::assertOn(Topic::Write, VerdictKind::Unproven, $near);
        self::assertStringContainsString('This bench writes 1 500 MB/s at most', self::said($near->reasons));
        self::assertOn(Topic::Write, VerdictKind::Slow, self::judged($label, [self::speed(1450, 2500, $chain)]));
        // Well under what the bench gives it is the card again.
        self::assertOn(Topic::Write, VerdictKind::Slow, self::judged($label, [self::speed(900, 2500, $chain)], $house));
        // What somebody typed was measured elsewhere.
        $typed = self::speed(1450, 2500, $chain, ['source' => 'typed']);
        self::assertOn(Topic::Write, VerdictKind::Slow, self::judged($label, [$typed], $house));
        // What reached the promise did.
        self::assertOn(Topic::Read, VerdictKind::Sound, self::judged('1TB CFexpress 4.0 Type B 2600MB/s read', [
            self::speed(null, 2500, $chain),
        ], $house));
    }

    public function test_a_double_rate_is_its_makers_own(): void
    {
        $label = '128GB SDXC I U3 V30 170MB/s read 90MB/s write';
        $slot = ['reader' => 'RD', 'bus' => 'UHS-I double rate', 'link' => 'USB 10 Gb/s'];
        $run = self::speed(84, 90, $slot);
        self::assertOn(Topic::Read, VerdictKind::Unproven, self::judged($label, [$run]));
        $seen = ['house' => ['readers' => [['name' => 'RD', 'reached' => '165 MB/s']]]];
        self::assertOn(Topic::Read, VerdictKind::Slow, self::judged($label, [$run], $seen));
        // Seen to carry no more than the standard rate, it is no double one for all that anybody knows.
        $standard = ['house' => ['readers' => [['name' => 'RD', 'reached' => '95 MB/s']]]];
        self::assertOn(Topic::Read, VerdictKind::Unproven, self::judged($label, [$run], $standard));
        // Far under what even the standard rate gives it is the card.
        self::assertOn(Topic::Read, VerdictKind::Slow, self::judged($label, [self::speed(40, 45, $slot)]));
        self::assertSame(85.0, Bus::UhsIDouble->ceiling()->least()?->megabytes());
        self::assertSame(150.0, Bus::UhsIDouble->ceiling(true)->least()?->megabytes());
    }

    /** @return iterable<string, array{string, string|null, VerdictKind|null}> label, finding, what it bears */
    public static function prints(): iterable
    {
        yield 'a guarantee above its bus' => ['64GB CompactFlash UDMA7 VPG400 160MB/s', 'mark-above-bus', VerdictKind::Sham];
        yield 'a guarantee within it' => ['64GB CompactFlash UDMA7 VPG130 160MB/s', 'mark-above-bus', null];
        yield 'a read claim under its class' => ['64GB SDXC II V60 45MB/s read', 'read-under-floor', VerdictKind::Unproven];
        yield 'two lanes on a microSD' => ['microSD Express Gen4x2 256GB 985MB/s', 'bus-on-form', VerdictKind::Sham];
        yield 'two lanes on an SD' => ['SD Express Gen4x2 256GB 985MB/s', 'bus-on-form', null];
        yield 'binary units' => ['SDHC 32GiB U1 90MB/s', 'binary-units', VerdictKind::Unproven];
        yield 'and its family is held against both' => ['SDHC 32GiB U1 90MB/s', 'capacity-outside-family', null];
        yield 'Express without a generation, fast' => ['512GB SDXC SD Express 3900MB/s read', 'claim-above-bus', null];
        yield 'Express with an I beside it' => ['512GB SDXC Express I 900MB/s read', 'mark-on-bus', null];
        yield 'something that may be a speed is left over' => ['SDXC 64GB read 90-95MB/s', 'no-speed', null];
        yield 'nothing is' => ['SDXC 64GB V30', 'no-speed', VerdictKind::Unproven];
    }

    #[DataProvider('prints')]
    public function test_what_is_printed_is_held_against_itself(string $label, string $id, ?VerdictKind $bears): void
    {
        $reason = self::reason(self::judged($label), $id);
        self::assertSame($bears, $reason?->bearing);
    }

    public function test_two_rows_on_a_label_with_one_are_a_doubt(): void
    {
        $verdict = self::judged(self::V30, [], ['seen' => ['contact_rows' => 2]]);
        self::assertSame(VerdictKind::Unproven, self::assertSays('rows-without-bus', $verdict)->bearing);
    }

    public function test_a_capacity_in_binary_units_stays_open_where_its_readings_differ(): void
    {
        $whole = fn (string $shown): array => self::proof(more: [
            'shows' => $shown, 'written' => $shown, 'read_back' => $shown, 'course' => [[$shown, '40 MB/s']], 'chain' => self::ORDINARY,
            'read' => '85 MB/s',
        ]);
        $on = fn (string $shown): ?VerdictKind => self::judged('32GiB SDHC I U1 90MB/s', [$whole($shown)])->on(Topic::Capacity);
        self::assertSame(VerdictKind::Unproven, $on('31.91 GB'));
        self::assertSame(VerdictKind::Sound, $on('34.3 GB'));
        self::assertSame(VerdictKind::Sham, $on('16 GB'));
    }

    /** @return array<string, mixed> readings of a UHS-I card */
    private static function read(string ...$rates): array
    {
        return [...self::speed(null, 90, self::ORDINARY), 'read' => array_values($rates)];
    }

    /** @param  array<string, mixed>  ...$runs */
    private static function onRead(array ...$runs): ?VerdictKind
    {
        return self::judged('128GB SDXC I U3 V30 95MB/s read', array_values($runs))->on(Topic::Read);
    }

    /** @param  list<Reason>  $reasons */
    private static function said(array $reasons): string
    {
        return str_replace(["\u{00A0}", "\u{202F}"], ' ', implode(' ', array_map(fn (Reason $one): string => $one->sentence(), $reasons)));
    }
}
