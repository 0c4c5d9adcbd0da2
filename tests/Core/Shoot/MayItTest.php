<?php

declare(strict_types=1);

namespace Tests\Core\Shoot;

use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\CaseFile\CaseReader;
use Tally\Label\Bus;
use Tally\Label\Line\LabelReader;
use Tally\Label\Mark;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Shoot\Ability;
use Tally\Shoot\Answer;
use Tally\Shoot\Demand;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\LeastMark;
use Tally\Shoot\MayIt;
use Tally\Shoot\Mode;
use Tally\Shoot\ModeKind;
use Tally\Shoot\Word;

/** May this card record that? Three criteria side by side: handbook § 7, evidence as in § 6. */
final class MayItTest extends TestCase
{
    private const FAST = ['reader' => 'R2', 'bus' => 'UHS-II', 'link' => 'USB 10 Gb/s'];

    private const SLOW = ['reader' => 'R9', 'bus' => 'UHS-II', 'link' => 'USB 480 Mb/s'];

    /**
     * @param  list<array{string, string}>  $course  size and speed, in order
     * @param  array<string, string>  $chain
     */
    private static function card(string $label, array $course = [], array $chain = self::FAST, string $size = '127.87 GB'): Ability
    {
        $runs = $course === [] ? [] : [[
            'kind' => 'proof',
            'mode' => 'raw',
            'chain' => $chain,
            'shows' => $size,
            'written' => $size,
            'read_back' => $size,
            'course' => $course,
            'bad' => [],
            'read' => '30 MB/s',
        ]];
        $case = ['format' => CaseReader::FORMAT, 'version' => 1, 'label' => $label, 'runs' => $runs];

        return Ability::of(CaseReader::read($case)->evidence);
    }

    private static function ofLabel(string $label): Ability
    {
        return Ability::ofLabel(LabelReader::read($label)->label() ?? throw new LogicException("“{$label}” is no label."));
    }

    private static function mode(string $rate, Demand $demand = new Demand(), ?string $clip = null): Mode
    {
        return new Mode('m', ModeKind::AllIntra, Rate::parse($rate), demand: $demand, clip: $clip === null ? null : Span::parse($clip));
    }

    /** @return array<string, string> criterion → `yes`, or its word */
    private static function all(Ability $card, Mode $mode, Bus $slot = Bus::UhsII): array
    {
        return array_map(
            fn (Answer $answer): string => $answer->word->value ?? 'yes',
            (new MayIt($mode, [$slot]))->all($card),
        );
    }

    public function test_each_criterion_alone_says_no(): void
    {
        $course = [['31 GB', '90 MB/s'], ['96.87 GB', '40.8 MB/s']];
        $card = self::card('128GB SDXC II U3 V60 250MB/s read 130MB/s write', $course);
        // 400 Mb/s is 50 MB/s: V60 promises it, this card falls under that mark, and nobody guarantees anything.
        self::assertSame(
            ['mark' => 'falls-to', 'measured' => 'falls-to', 'guaranteed' => 'not-guaranteed'],
            self::all($card, self::mode('400 Mb/s')),
        );
        self::assertSame(
            ['mark' => 'yes', 'measured' => 'yes', 'guaranteed' => 'not-guaranteed'],
            self::all($card, self::mode('200 Mb/s')),
        );
        self::assertSame('promises-less', self::all($card, self::mode('500 Mb/s'))['mark']);
        $unmarked = self::card('128GB SDXC II 250MB/s read 130MB/s write', [['127.87 GB', '110 MB/s']]);
        self::assertSame(
            ['mark' => 'no-mark', 'measured' => 'yes', 'guaranteed' => 'not-guaranteed'],
            self::all($unmarked, self::mode('400 Mb/s')),
        );
        $vpg = self::ofLabel('160GB CFexpress A VPG400 800MB/s read 700MB/s write');
        $answers = self::all($vpg, self::mode('2600 Mb/s'), Bus::CFexpress2A);
        self::assertSame(['mark' => 'yes', 'measured' => 'not-measured', 'guaranteed' => 'yes'], $answers);
    }

    public function test_the_margin_is_on_what_was_measured_alone(): void
    {
        $card = self::card('128GB SDXC II U3 V60', [['127.87 GB', '62.5 MB/s']]);
        self::assertSame('yes', self::all($card, self::mode('400 Mb/s'))['measured']);
        self::assertSame('falls-to', self::all($card, self::mode('401 Mb/s'))['measured']);
        self::assertSame('yes', self::all($card, self::mode('480 Mb/s'))['mark']);
        self::assertTrue((new MayIt(self::mode('480 Mb/s'), [Bus::UhsII], 1.0))->by(FitCriterion::Measured, $card)->isYes());
    }

    public function test_a_slower_chain_only_says_at_least(): void
    {
        $card = self::card('128GB SDXC II U3 V60', [['127.87 GB', '34 MB/s']], self::SLOW);
        $answer = (new MayIt(self::mode('400 Mb/s'), [Bus::UhsII]))->by(FitCriterion::Measured, $card);
        self::assertSame([Word::AtLeast, 'at least 34 MB/s'], [$answer->word, $answer->words()]);
        // What was kept up was kept up, over whatever chain.
        self::assertTrue((new MayIt(self::mode('200 Mb/s'), [Bus::UhsII]))->by(FitCriterion::Measured, $card)->isYes());
    }

    public function test_where_it_falls_later_than_a_take_lasts_it_will_do_and_says_for_how_long(): void
    {
        $card = self::card('128GB SDXC II U3 V60', [['31 GB', '90 MB/s'], ['96.87 GB', '40.8 MB/s']]);
        $asked = fn (?string $clip): MayIt => new MayIt(self::mode('400 Mb/s', clip: $clip), [Bus::UhsII]);
        $may = fn (?string $clip): Answer => $asked($clip)->by(FitCriterion::Measured, $card);
        // 31 GB at the 50 MB/s of the camera: ten minutes in. 31e9 ÷ 50e6.
        self::assertEqualsWithDelta(620.0, (float) $may(null)->safe?->seconds, 1.0);
        self::assertSame(['falls to 40.8 MB/s', 'up to 10 min 20 s a take'], [$may(null)->words(), $may('10 min')->words()]);
        self::assertFalse($may('11 min')->isYes());
        // Slow from the start: no take is safe.
        $slow = self::card('128GB SDXC II U3 V60', [['127.87 GB', '40.8 MB/s']]);
        self::assertNull((new MayIt(self::mode('400 Mb/s', clip: '1 min'), [Bus::UhsII]))->by(FitCriterion::Measured, $slow)->safe);
    }

    public function test_what_the_camera_refuses_it_refuses_whatever_the_card_can_do(): void
    {
        $card = self::card('128GB SDXC II U3 V60', [['127.87 GB', '120 MB/s']]);
        $v90 = self::mode('200 Mb/s', new Demand(Mark::V90));
        self::assertSame(['mark' => 'asks-for', 'measured' => 'asks-for', 'guaranteed' => 'asks-for'], self::all($card, $v90));
        self::assertSame('asks for V90', (new MayIt($v90, [Bus::UhsII]))->by(FitCriterion::Measured, $card)->words());
        $warns = self::mode('200 Mb/s', new Demand(Mark::V90, refuses: false));
        $warned = (new MayIt($warns, [Bus::UhsII]))->by(FitCriterion::Measured, $card);
        self::assertSame([true, true, 'with a warning'], [$warned->isYes(), $warned->warns, $warned->words()]);
        $medium = self::mode('200 Mb/s', new Demand(isGuaranteed: true));
        self::assertSame('asks for a guaranteed medium', (new MayIt($medium, [Bus::UhsII]))->by(FitCriterion::Mark, $card)->words());
        self::assertSame('yes', self::all($card, self::mode('200 Mb/s', new Demand(Mark::U3)))['mark']);
    }

    public function test_slots_carry_what_they_carry(): void
    {
        $card = self::card('128GB SDXC II U3 V60', [['127.87 GB', '120 MB/s']]);
        // Over UHS-I, V60 says nothing; U3 does.
        $answers = self::all($card, self::mode('200 Mb/s'), Bus::UhsI);
        self::assertSame('yes', $answers['mark']);
        self::assertSame('promises-less', self::all($card, self::mode('280 Mb/s'), Bus::UhsI)['mark']);
        $v60 = self::card('128GB SDXC II V60', [['127.87 GB', '120 MB/s']]);
        $over = (new MayIt(self::mode('200 Mb/s'), [Bus::UhsI]))->by(FitCriterion::Mark, $v60);
        self::assertSame([Word::NoMark, 'no mark over UHS-I'], [$over->word, $over->words()]);
        self::assertSame('bus-too-slow', self::all($card, self::mode('900 Mb/s'), Bus::UhsI)['measured']);
        $answer = (new MayIt(self::mode('200 Mb/s'), [Bus::CFexpress2B]))->by(FitCriterion::Mark, $card);
        self::assertSame('slot does not take SD', $answer->words());
    }

    public function test_sham_never_fits_and_unproven_fits_with_that_word(): void
    {
        // A UHS-II mark on a UHS-I card contradicts itself.
        $sham = self::card('128GB SDXC I U3 V60', [['127.87 GB', '90 MB/s']]);
        self::assertSame(['mark' => 'sham', 'measured' => 'sham', 'guaranteed' => 'sham'], self::all($sham, self::mode('100 Mb/s')));
        $unproven = self::card('128GB SDXC II U3 V60');
        $answer = (new MayIt(self::mode('400 Mb/s'), [Bus::UhsII]))->by(FitCriterion::Mark, $unproven);
        self::assertSame([true, 'Unproven'], [$answer->isYes(), $answer->words()]);
        self::assertNull($unproven->proven);
        self::assertSame('128 GB', $unproven->capacity()->decimal());
        self::assertSame('127.87 GB', self::card('128GB SDXC II U3 V60', [['127.87 GB', '90 MB/s']])->capacity()->decimal());
    }

    /** @return iterable<string, array{string, Demand, Bus, Mark|null}> rate, what is asked for, slot, least mark */
    public static function least(): iterable
    {
        // Handbook § 7: 30 for ordinary 4K, 60 for high frame rates, 90 for all-intra, CFexpress-class for all-intra at 4K 120.
        yield 'ordinary 4K' => ['200 Mb/s', new Demand(), Bus::UhsII, Mark::V30];
        yield 'high frame rates' => ['280 Mb/s', new Demand(), Bus::UhsII, Mark::V60];
        yield 'all-intra' => ['600 Mb/s', new Demand(), Bus::UhsII, Mark::V90];
        yield 'more than any SD mark below Express' => ['800 Mb/s', new Demand(), Bus::UhsII, null];
        yield 'all-intra at 4K 120' => ['1200 Mb/s', new Demand(), Bus::CFexpress2A, Mark::Vpg200];
        yield 'the camera asks for more than it writes' => ['100 Mb/s', new Demand(Mark::V60), Bus::UhsII, Mark::V60];
        yield 'V60 is not defined over UHS-I' => ['280 Mb/s', new Demand(), Bus::UhsI, null];
        yield 'a guaranteed medium' => ['100 Mb/s', new Demand(isGuaranteed: true), Bus::CFexpress2B, Mark::Vpg20];
    }

    #[DataProvider('least')]
    public function test_the_least_mark_that_opens_a_mode(string $rate, Demand $demand, Bus $slot, ?Mark $mark): void
    {
        self::assertSame($mark, LeastMark::of(self::mode($rate, $demand), [$slot]));
    }

    public function test_more_than_the_least_mark_of_all_modes_buys_nothing(): void
    {
        $modes = [self::mode('100 Mb/s'), self::mode('400 Mb/s'), self::mode('600 Mb/s'), self::mode('2600 Mb/s')];
        self::assertSame(Mark::V90, LeastMark::ofAll($modes, [Bus::UhsII]));
        self::assertNull(LeastMark::ofAll([], [Bus::UhsII]));
    }
}
