<?php

declare(strict_types=1);

namespace Tests\Core\Label;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Label\Bus;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

final class BusTest extends TestCase
{
    /** @return iterable<string, array{Bus, list<Bus>, Bus|null}> card, slot, what they settle on */
    public static function meetings(): iterable
    {
        yield 'like with like' => [Bus::UhsII, [Bus::UhsII], Bus::UhsII];
        yield 'fast card, one-row reader' => [Bus::UhsII, [Bus::UhsI], Bus::UhsI];
        yield 'slow card, fast reader' => [Bus::UhsI, [Bus::UhsII], Bus::UhsI];
        yield 'double rate needs the matching reader' => [Bus::UhsIDouble, [Bus::UhsII], Bus::UhsI];
        yield 'double rate in it' => [Bus::UhsIDouble, [Bus::UhsIDouble], Bus::UhsIDouble];
        yield 'a card without the mode in the matching reader' => [Bus::UhsII, [Bus::UhsIDouble], Bus::UhsI];
        yield 'SD Express has no UHS-II to fall back on' => [Bus::ExpressGen3, [Bus::UhsII], Bus::UhsI];
        yield 'UHS-III in a UHS-II reader' => [Bus::UhsIII, [Bus::UhsII], Bus::UhsII];
        yield 'old card' => [Bus::SdDefault, [Bus::UhsII], Bus::SdDefault];
        yield 'newer CFexpress in an older reader' => [Bus::CFexpress4B, [Bus::CFexpress2B], Bus::CFexpress2B];
        yield 'older CFexpress in a newer reader' => [Bus::CFexpress2B, [Bus::CFexpress4B], Bus::CFexpress2B];
        yield 'another shape does not fit' => [Bus::CFexpress2A, [Bus::CFexpress2B], null];
        yield 'SD does not fit CFexpress' => [Bus::UhsI, [Bus::CFexpress2B], null];
        yield 'a reader with two kinds of slot' => [Bus::UhsII, [Bus::CFexpress2A, Bus::UhsII], Bus::UhsII];
        yield 'no slot at all' => [Bus::UhsI, [], null];
    }

    /** @param  list<Bus>  $slot */
    #[DataProvider('meetings')]
    public function test_card_and_slot_settle_on_the_best_bus_that_both_speak(Bus $card, array $slot, ?Bus $settled): void
    {
        self::assertSame($settled, $card->settleWith($slot));
    }

    public function test_every_bus_belongs_to_a_form_and_has_a_ceiling_above_what_practice_sees(): void
    {
        foreach (Bus::cases() as $bus) {
            self::assertNotSame([], $bus->forms());
            self::assertFalse($bus->ceiling()->nominal->isBelow($bus->ceiling()->usable()), $bus->label());
            self::assertNotSame('', $bus->ceiling()->source);
        }
    }

    public function test_buses_of_a_form_are_listed_slowest_first(): void
    {
        foreach (Form::cases() as $form) {
            $rates = array_map(fn (Bus $bus): float => $bus->ceiling()->nominal->bytesPerSecond, $form->buses());
            $sorted = $rates;
            sort($sorted);
            self::assertSame($sorted, $rates, $form->label());
        }
    }

    public function test_a_card_without_a_printed_bus_may_have_any_of_its_form(): void
    {
        $label = new Label(Form::MicroSd, Bytes::gigabytes(32), marks: [Mark::C10]);
        self::assertSame(Bus::UhsI, $label->settleIn([Bus::UhsI]));
        self::assertSame(Bus::UhsII, $label->settleIn([Bus::UhsII]));
        self::assertNull($label->settleIn([Bus::CFexpress2A]));
    }

    public function test_a_uhs_i_card_that_claims_more_than_uhs_i_has_the_double_rate_mode(): void
    {
        $fast = new Label(Form::Sd, Bytes::gigabytes(128), bus: Bus::UhsI, read: Rate::megabytesPerSecond(170));
        self::assertSame(Bus::UhsIDouble, $fast->settleIn([Bus::UhsIDouble]));
        self::assertSame(Bus::UhsI, $fast->settleIn([Bus::UhsI]));
        $plain = new Label(Form::Sd, Bytes::gigabytes(128), bus: Bus::UhsI, read: Rate::megabytesPerSecond(104));
        self::assertSame(Bus::UhsI, $plain->settleIn([Bus::UhsIDouble]));
    }

    public function test_the_top_mark_is_the_highest_floor_and_the_newest_of_equals(): void
    {
        $of = fn (Mark ...$marks): ?Mark => (new Label(Form::Sd, Bytes::gigabytes(64), marks: array_values($marks)))->topMark();
        self::assertSame(Mark::V60, $of(Mark::C10, Mark::U3, Mark::V60));
        self::assertSame(Mark::V30, $of(Mark::U3, Mark::V30));
        self::assertNull($of());
    }
}
