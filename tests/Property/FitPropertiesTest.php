<?php

declare(strict_types=1);

namespace Tests\Property;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Chain\HostLink;
use Tally\Evidence\Evidence;
use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\Source;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Measured\Chain;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Record\LongWrite;
use Tally\Record\RunSource;
use Tally\Shoot\Ability;
use Tally\Shoot\Demand;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\LeastMark;
use Tally\Shoot\MayIt;
use Tally\Shoot\Mode;
use Tally\Shoot\ModeKind;
use Tally\Shoot\Word;
use Tally\Verdict\VerdictKind;

/** What must hold of every card and every mode, whatever they are. */
final class FitPropertiesTest extends TestCase
{
    private const MARKS = [Mark::V30, Mark::V60, Mark::V90, Mark::U1, Mark::U3, Mark::C10];

    private Randomizer $chance;

    protected function setUp(): void
    {
        $this->chance = new Randomizer(new Mt19937(15));
    }

    private function mode(float $megabytes, Demand $demand = new Demand(), ?int $clip = null): Mode
    {
        $rate = Rate::megabytesPerSecond($megabytes);

        return new Mode('m', ModeKind::AllIntra, $rate, demand: $demand, clip: $clip === null ? null : Span::seconds($clip));
    }

    /** @param  list<array{float, float}>  $pieces  GB and MB/s */
    private function card(
        array $pieces,
        ?VerdictKind $verdict = VerdictKind::Sound,
        ?Mark $mark = null,
        HostLink $link = HostLink::UsbGen2,
    ): Ability {
        $label = new Label(Form::Sd, Bytes::gigabytes(128), Family::Sdxc, Bus::UhsII, marks: $mark === null ? [] : [$mark]);
        $course = LongWrite::pieces(
            array_map(
                fn (array $piece): array => [$piece[0] * 1e9, Rate::megabytesPerSecond($piece[1])],
                $pieces === [] ? [[1, 1]] : $pieces,
            ),
        );
        $write = new LongWriteEvidence(
            new Source('run 1', null, RunSource::Device),
            Chain::over('R2', Bus::UhsII, $link),
            $course,
            Bytes::of((int) (1e9 * array_sum(array_column($pieces, 0)))),
        );

        return Ability::of(new Evidence($label, sustained: $pieces === [] ? [] : [$write]), $verdict);
    }

    private function may(FitCriterion $criterion, Mode $mode, Ability $card, float $margin = MayIt::MARGIN): bool
    {
        return (new MayIt($mode, [Bus::UhsII], $margin))->by($criterion, $card)->isYes();
    }

    public function test_a_faster_mode_a_wider_margin_or_a_slower_card_never_turns_no_into_yes(): void
    {
        $yes = $no = 0;
        for ($i = 0; $i < 400; $i++) {
            $rate = $this->chance->getInt(5, 150);
            $first = $this->chance->getInt(20, 160);
            $then = $this->chance->getInt(10, $first);
            $mark = self::MARKS[$this->chance->getInt(0, count(self::MARKS) - 1)];
            $card = $this->card([[20, $first], [30, $then]], mark: $mark);
            $slower = $this->card([[20, $first], [30, max(1, $then - 7)]], mark: $mark);
            foreach (FitCriterion::cases() as $criterion) {
                $may = $this->may($criterion, $this->mode($rate), $card);
                $may ? $yes++ : $no++;
                if (! $may) {
                    self::assertFalse($this->may($criterion, $this->mode($rate + 10), $card), "case {$i}");
                    self::assertFalse($this->may($criterion, $this->mode($rate), $card, 1.5), "case {$i}");
                    self::assertFalse($this->may($criterion, $this->mode($rate), $slower), "case {$i}");
                }
            }
        }
        self::assertGreaterThan(100, min($yes, $no));
    }

    public function test_what_is_struck_out_never_fits_and_what_is_refused_fits_by_no_school(): void
    {
        for ($i = 0; $i < 60; $i++) {
            $mode = $this->mode($this->chance->getInt(1, 20));
            $asks = $this->mode(1, new Demand(Mark::V90));
            foreach (FitCriterion::cases() as $criterion) {
                foreach ([VerdictKind::Sham, VerdictKind::Shaky] as $kind) {
                    self::assertFalse($this->may($criterion, $mode, $this->card([[50, 200]], $kind, Mark::V90)));
                }
                self::assertFalse($this->may($criterion, $asks, $this->card([[50, 200]], mark: Mark::V60)));
            }
            self::assertTrue($this->may(FitCriterion::Measured, $mode, $this->card([[50, 200]])));
        }
    }

    public function test_a_take_is_safe_for_no_longer_than_until_it_falls_and_longer_takes_are_never_easier(): void
    {
        for ($i = 0; $i < 200; $i++) {
            $rate = $this->chance->getInt(20, 60);
            $fast = $this->chance->getInt(5, 60);
            $card = $this->card([[$fast, 120], [50, 15]]);
            $answer = (new MayIt($this->mode($rate), [Bus::UhsII]))->by(FitCriterion::Measured, $card);
            self::assertSame(Word::FallsTo, $answer->word);
            self::assertNotNull($answer->safe);
            // The window that is lowest begins where the fast part ends, or a window before.
            self::assertLessThanOrEqual(($fast * 1e3) / $rate + 1, $answer->safe->seconds);
            self::assertGreaterThan((($fast - 1) * 1e3) / $rate - 1, $answer->safe->seconds);
            $short = (int) floor($answer->safe->seconds);
            self::assertTrue($this->may(FitCriterion::Measured, $this->mode($rate, clip: $short), $card));
            self::assertFalse($this->may(FitCriterion::Measured, $this->mode($rate, clip: $short + 2), $card));
        }
    }

    public function test_over_a_slow_chain_a_shortfall_is_never_held_against_the_card(): void
    {
        for ($i = 0; $i < 100; $i++) {
            // USB 2.0 gives 30 to 40: what came over it then may be all that it gave.
            $floor = $this->chance->getInt(28, 38);
            $card = $this->card([[60, $floor]], link: HostLink::Usb2);
            $answer = (new MayIt($this->mode($floor + 5), [Bus::UhsII]))->by(FitCriterion::Measured, $card);
            self::assertSame(Word::AtLeast, $answer->word, "{$floor} MB/s");
            self::assertTrue($this->may(FitCriterion::Measured, $this->mode($floor / MayIt::MARGIN - 0.5), $card));
        }
    }

    public function test_the_least_mark_opens_the_mode_and_the_next_one_below_does_not(): void
    {
        $sold = [Mark::V6, Mark::V10, Mark::V30, Mark::V60, Mark::V90];
        for ($i = 0; $i < 120; $i++) {
            $mode = $this->mode($this->chance->getInt(1, 90));
            $least = LeastMark::of($mode, [Bus::UhsII]);
            self::assertNotNull($least);
            self::assertTrue($this->may(FitCriterion::Mark, $mode, $this->card([], mark: $least)));
            $below = (int) array_search($least, $sold, true) - 1;
            if ($below >= 0) {
                self::assertFalse($this->may(FitCriterion::Mark, $mode, $this->card([], mark: $sold[$below])));
            }
        }
    }

    public function test_minutes_shrink_as_rates_grow_and_are_additive_over_cards(): void
    {
        for ($i = 0; $i < 200; $i++) {
            $mode = $this->mode($this->chance->getInt(1, 900) / 7);
            [$a, $b] = [Bytes::gigabytes($this->chance->getInt(8, 512)), Bytes::gigabytes($this->chance->getInt(8, 512))];
            $both = $mode->fill->lasts(Bytes::of($a->count + $b->count))->seconds;
            self::assertEqualsWithDelta($both, $mode->fill->lasts($a)->seconds + $mode->fill->lasts($b)->seconds, 1e-6 * $both);
            $faster = $this->mode($mode->nominal->megabytes() * 1.1);
            self::assertLessThan($mode->fill->lasts($a)->seconds, $faster->fill->lasts($a)->seconds);
        }
    }
}
