<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\CaseFile\CaseReader;
use Tally\Evidence\Evidence;
use Tally\Evidence\House;
use Tally\Quantity\Rate;
use Tally\Reading\Standing;
use Tally\Reading\Thresholds;
use Tally\Verdict\Judge;
use Tally\Verdict\VerdictKind;

/** The standard shares are those of handbook § 6, rules 1, 3 and 10; others are a house's own. */
final class ThresholdsTest extends TestCase
{
    /** @return iterable<string, array{array<string, float>, string}> */
    public static function senseless(): iterable
    {
        yield 'half a card is none' => [['full' => 0.5], 'full: “50 %” makes no sense. Give 90 to 99 %.'];
        yield 'more than all of it' => [['full' => 1.2], 'full: “120 %” makes no sense. Give 90 to 99 %.'];
        yield 'no claim is reached at half' => [['near' => 0.5], 'near: “50 %” makes no sense. Give 80 to 98 %.'];
        yield 'slow at nothing' => [['short' => 0.0], 'short: “0 %” makes no sense. Give 50 to 90 %.'];
        yield 'above is above' => [['above' => 1.0], 'above: “100 %” makes no sense. Give 102 to 150 %.'];
        yield 'no number' => [['above' => NAN], 'above: “NAN %” makes no sense. Give 102 to 150 %.'];
        yield 'slow and reached at once' => [
            ['near' => 0.82, 'short' => 0.88],
            'short: what is Slow must lie under what counts as reached. Give at most 82 %.',
        ];
    }

    /** @param  array<string, float>  $shares */
    #[DataProvider('senseless')]
    public function test_what_makes_no_sense_is_refused_with_what_would_do(array $shares, string $sentence): void
    {
        $this->expectException(InvalidArgumentException::class);
        $this->expectExceptionMessage($sentence);
        new Thresholds(...$shares);
    }

    public function test_a_figure_stands_to_a_claim_as_the_house_has_it(): void
    {
        $own = fn (): bool => true;
        $claim = Rate::megabytesPerSecond(100);
        $of = fn (float $rate, Thresholds $by): Standing => Standing::of(Rate::megabytesPerSecond($rate), $claim, $own, $by);
        self::assertSame(Standing::Under, $of(88, new Thresholds()));
        self::assertSame(Standing::Near, $of(88, new Thresholds(near: 0.85)));
        self::assertSame(Standing::WellShort, $of(88, new Thresholds(near: 0.95, short: 0.9)));
        self::assertSame(Standing::Near, $of(112, new Thresholds(above: 1.2)));
        self::assertSame(Standing::Above, $of(112, new Thresholds()));
    }

    public function test_a_verdict_turns_with_the_rules_of_the_house(): void
    {
        $evidence = CaseReader::read([
            'format' => 'gritty-tally-case',
            'version' => 1,
            'name' => 'a little short everywhere',
            'label' => '128GB SDXC I U3 V30 95MB/s read 90MB/s write',
            'runs' => [
                [
                    'kind' => 'proof',
                    'mode' => 'raw',
                    'chain' => ['reader' => 'R2', 'bus' => 'UHS-I', 'link' => 'USB 5 Gb/s'],
                    'shows' => '120 GB',
                    'written' => '120 GB',
                    'read_back' => '120 GB',
                    'course' => [['120 GB', '70 MB/s']],
                    'read' => '76 MB/s',
                ],
            ],
        ])->evidence;
        $by = fn (Thresholds $rules): VerdictKind => Judge::judge(
            new Evidence($evidence->label, $evidence->speeds, $evidence->proofs, $evidence->sustained, house: new House(by: $rules)),
        )->kind;
        self::assertSame(VerdictKind::Sound, $by(new Thresholds()));
        // 120 of 128 GB is 93.75 %; 76 of 95 MB/s is 80 %.
        self::assertSame(VerdictKind::Sham, $by(new Thresholds(full: 0.94)));
        self::assertSame(VerdictKind::Slow, $by(new Thresholds(near: 0.9, short: 0.85)));
    }

    public function test_the_edges_of_sense_make_sense_and_the_standard_lies_within(): void
    {
        foreach (Thresholds::SENSE as $name => [$least, $most]) {
            $standard = (new Thresholds())->{$name};
            self::assertTrue($least <= $standard && $standard <= $most, $name);
        }
        $loose = new Thresholds(full: 0.9, near: 0.8, short: 0.5, above: 1.5);
        $strict = new Thresholds(full: 0.99, near: 0.98, short: 0.9, above: 1.02);
        self::assertSame([0.9, 0.8, 0.5, 1.5], [$loose->full, $loose->near, $loose->short, $loose->above]);
        self::assertSame([0.99, 0.98, 0.9, 1.02], [$strict->full, $strict->near, $strict->short, $strict->above]);
        self::assertSame(0.8, (new Thresholds(near: 0.8, short: 0.8))->short, 'slow right under what is reached');
    }

    public function test_errors_round_against_the_card_with_any_rules(): void
    {
        // 89.6 % is not 90 % (handbook § 6 rule 12), nor is 84.9 % 85 %.
        $of = fn (float $rate, float $near): Standing => Standing::of(
            Rate::megabytesPerSecond($rate),
            Rate::megabytesPerSecond(100),
            fn (): bool => true,
            new Thresholds(near: $near),
        );
        self::assertSame([Standing::Under, Standing::Near], [$of(89.6, 0.9), $of(90.0, 0.9)]);
        self::assertSame([Standing::Under, Standing::Near], [$of(84.9, 0.85), $of(85.0, 0.85)]);
    }
}
