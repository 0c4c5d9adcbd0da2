<?php

declare(strict_types=1);

namespace Tests\Core\Verdict;

use PHPUnit\Framework\TestCase;
use Tally\Verdict\Step;
use Tally\Verdict\Topic;
use Tally\Verdict\VerdictKind;
use Tests\Support\JudgesCases;

/** What differs when repeated, what slipped, and what only asks for a look: handbook § 6 rules 8, 10 and 11, house rules. */
final class RepeatRulesTest extends TestCase
{
    use JudgesCases;

    /** @return array<string, mixed> */
    private static function on(string $day, float $write, float $read = 238): array
    {
        return self::speed($write, $read, self::GOOD, ['on' => $day]);
    }

    public function test_medians_apart_by_more_than_one_and_a_half_times_are_shaky(): void
    {
        self::assertVerdict(
            VerdictKind::Sound,
            self::judged(self::V60, [self::proof(), self::on('2026-01-01', 121), self::on('2026-02-01', 121 / 1.49)]),
        );
        $verdict = self::judged(self::V60, [self::proof(), self::on('2026-01-01', 121), self::on('2026-02-01', 121 / 1.51)]);
        self::assertVerdict(VerdictKind::Shaky, $verdict);
        self::assertSame(Step::MeasureAgain, $verdict->next);
        self::assertOn(Topic::Repeat, VerdictKind::Shaky, $verdict);
    }

    public function test_another_chain_or_region_is_another_test(): void
    {
        $slow = self::on('2026-02-01', 60, 200);
        self::assertOn(
            Topic::Repeat,
            null,
            self::judged(self::V60, [
                self::on('2026-01-01', 121),
                [...$slow, 'chain' => self::ORDINARY],
            ]),
        );
        // Over chains that both could show the claim it is the same one.
        $other = [...$slow, 'chain' => ['reader' => 'R1', 'bus' => 'UHS-II', 'link' => 'USB 5 Gb/s']];
        self::assertOn(Topic::Repeat, VerdictKind::Shaky, self::judged(self::V60, [self::on('2026-01-01', 121), $other]));
        // A look convicts nobody.
        $look = [...self::on('2026-02-01', 60, 200), 'write' => ['60 MB/s', '60 MB/s']];
        self::assertOn(Topic::Repeat, null, self::judged(self::V60, [self::on('2026-01-01', 121), $look]));
        $tiny = [...self::on('2026-02-01', 60, 200), 'bytes' => '10 MB'];
        self::assertOn(Topic::Repeat, null, self::judged(self::V60, [[...self::on('2026-01-01', 121), 'bytes' => '10 MB'], $tiny]));
        self::assertOn(Topic::Repeat, null, self::judged(self::V60, [self::on('2026-01-01', 121), [...$slow, 'bytes' => '16 GB']]));
        self::assertOn(
            Topic::Repeat,
            null,
            self::judged(self::V60, [[...self::on('2026-01-01', 121), 'chain' => null], [...$slow, 'chain' => null]]),
        );
    }

    public function test_the_two_newest_stand_where_they_agree(): void
    {
        $old = [self::on('2026-01-10', 121), self::proof(more: ['on' => '2026-01-11'])];
        $slower = self::judged(self::V60, [...$old, self::on('2026-11-01', 20), self::on('2026-11-02', 21)]);
        self::assertVerdict(VerdictKind::Slow, $slower);
        self::assertStringContainsString(
            'it has changed, or the older run was wrong',
            self::assertSays('repeat-newest-stand', $slower)->sentence(),
        );
        // Also where no class convicts it: the older figures are not its own any more.
        self::assertOn(
            Topic::Write,
            VerdictKind::Slow,
            self::judged('128GB SDXC II 250MB/s read 130MB/s write', [...$old, self::on('2026-11-01', 20), self::on('2026-11-02', 21)]),
        );
        // An old run that was wrong convicts nobody.
        self::assertVerdict(
            VerdictKind::Sound,
            self::judged(self::V60, [
                self::on('2026-01-10', 20),
                self::on('2026-11-01', 121),
                self::on('2026-11-02', 122),
                self::proof(more: ['on' => '2026-11-03']),
            ]),
        );
        self::assertVerdict(VerdictKind::Shaky, self::judged(self::V60, [...$old, self::on('2026-11-01', 20), self::on('2026-11-02', 23)]));
    }

    public function test_without_days_nobody_knows_which_are_the_newest(): void
    {
        self::assertVerdict(
            VerdictKind::Shaky,
            self::judged(self::V60, [self::proof(), self::speed(121, 238), self::speed(20, 238), self::speed(20.5, 238)]),
        );
    }

    public function test_reading_under_a_quarter_of_writing_is_trouble(): void
    {
        self::assertVerdict(VerdictKind::Shaky, self::judged('128GB SDXC II U3 V60', [self::proof(), self::speed(121, 30)]));
        self::assertVerdict(VerdictKind::Sound, self::judged('128GB SDXC II U3 V60', [self::proof(), self::speed(121, 31)]));
        self::assertVerdict(VerdictKind::Sound, self::judged('128GB SDXC II U3 V60', [self::proof(), self::speed(121, 25, null)]));
    }

    public function test_typed_slips_are_struck_and_named(): void
    {
        $typed = fn (float $read): array => self::speed(null, $read, null, ['source' => 'typed']);
        foreach (
            [
                [760.0, 'megabits read as megabytes'],
                [11.9, 'megabytes read as megabits'],
                [100.0, 'MiB read as MB'],
                [102.0, 'GiB read as GB'],
            ] as [$figure, $slip]
        ) {
            $verdict = self::judged('128GB CFexpress Type B 95MB/s read', [$typed($figure)]);
            self::assertOn(Topic::Read, VerdictKind::Unproven, $verdict);
            self::assertStringContainsString($slip, self::assertSays('figure-struck', $verdict)->sentence());
        }
        self::assertNull(self::reason(self::judged('128GB CFexpress Type B 95MB/s read', [$typed(106)]), 'figure-struck'));
        // What a device measured is no slip of the pen.
        self::assertNull(self::reason(self::judged('128GB CFexpress Type B 95MB/s read', [self::speed(null, 760, null)]), 'figure-struck'));
    }

    public function test_a_timid_label_is_no_trouble(): void
    {
        self::assertSays('claim-above', self::judged('128GB SDXC I C10 read 95MB/s write 15MB/s', [self::speed(60, 93, self::ORDINARY)]));
    }

    public function test_a_figure_that_is_struck_changes_nothing(): void
    {
        $good = [self::proof(), self::speed(121, 238)];
        self::assertVerdict(VerdictKind::Sound, self::judged(self::V60, [...$good, self::speed(2000, 3000)]));
    }

    public function test_a_price_is_a_reason_to_test_and_outweighs_no_proof(): void
    {
        $price = fn (string $paid, array $quotes): array => ['price' => $paid, 'house' => ['prices' => $quotes]];
        $three = [
            ['label' => '128GB SDXC I V30', 'price' => '34 EUR'],
            ['label' => '128GB SDXC I V30', 'price' => '36 EUR'],
            ['label' => '256GB SDXC I V30', 'price' => '72 EUR'],
        ];
        self::assertOn(Topic::Price, VerdictKind::Unproven, self::judged(self::V30, [], $price('8 EUR', $three)));
        self::assertOn(Topic::Price, null, self::judged(self::V30, [], $price('10 EUR', $three)));
        self::assertSays('price-under-market', self::judged(self::V30, [], $price('10 EUR', $three)));
        self::assertOn(Topic::Price, null, self::judged(self::V30, [], $price('8 EUR', array_slice($three, 0, 2))));
        self::assertOn(
            Topic::Price,
            null,
            self::judged(
                self::V30,
                [],
                $price('8 EUR', [...array_slice($three, 0, 2), ['label' => '512GB SDXC I V30', 'price' => '144 EUR']]),
            ),
        );
        self::assertOn(
            Topic::Price,
            null,
            self::judged(
                self::V30,
                [],
                $price('8 EUR', [...array_slice($three, 0, 2), ['label' => '128GB SDXC II V60', 'price' => '90 EUR']]),
            ),
        );
        $proven = self::judged(self::V30, [self::proof(86, 92, ['chain' => self::ORDINARY])], $price('8 EUR', $three));
        self::assertVerdict(VerdictKind::Sound, $proven);
        self::assertOn(Topic::Price, VerdictKind::Unproven, $proven);
        self::assertStringNotContainsString('Nobody sells', self::assertSays('price-far-under-market', $proven)->sentence());
    }

    public function test_a_serial_met_twice_convicts_no_proven_card(): void
    {
        $same = ['serial' => 'MT22 70141', 'house' => ['cards' => [['serial' => 'mt22-70141', 'tag' => 'QS-014']]]];
        self::assertOn(Topic::Label, VerdictKind::Unproven, self::judged(self::V60, [], $same));
        self::assertVerdict(VerdictKind::Sound, self::judged(self::V60, [self::proof()], $same));
    }

    public function test_the_newest_that_agree_stand_against_an_old_best_in_another_reader(): void
    {
        $house = ['house' => ['readers' => [['name' => 'R8', 'reached' => '285 MB/s'], ['name' => 'R2', 'reached' => '285 MB/s']]]];
        $at = fn (string $on, float $read, string $reader): array => self::speed(null, $read, [...self::GOOD, 'reader' => $reader], [
            'on' => $on,
        ]);
        $label = '128GB SDXC II U3 V60 280MB/s read';
        $old = $at('2019-01-01', 260, 'R2');
        $stand = self::judged($label, [$old, $at('2024-01-01', 100, 'R8'), $at('2024-02-01', 101, 'R8')], $house);
        self::assertOn(Topic::Read, VerdictKind::Slow, $stand);
        self::assertSays('repeat-newest-stand', $stand);
        // One new one alone differs, and nothing stands.
        self::assertVerdict(VerdictKind::Shaky, self::judged($label, [$old, $at('2024-01-01', 100, 'R8')], $house));
        // Nobody has seen those readers carry so much: then each chain speaks for itself, and the best one counts.
        $open = self::judged($label, [$old, $at('2024-01-01', 100, 'R8'), $at('2024-02-01', 101, 'R8')]);
        self::assertOn(Topic::Read, VerdictKind::Sound, $open);
    }
}
