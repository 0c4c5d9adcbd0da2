<?php

declare(strict_types=1);

namespace Tests\Core\Shoot;

use PHPUnit\Framework\TestCase;
use Tally\Label\Bus;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Shoot\Ability;
use Tally\Shoot\Camera;
use Tally\Shoot\CameraSlot;
use Tally\Shoot\FitCard;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\Mode;
use Tally\Shoot\ModeKind;
use Tally\Shoot\Recording;
use Tally\Shoot\Whole\Evening;
use Tally\Shoot\Whole\KeptCard;
use Tally\Shoot\Whole\PackedCard;
use Tally\Shoot\Whole\PackedPlace;
use Tally\Shoot\Whole\Packing;
use Tally\Shoot\Whole\PackingFile;
use Tally\Shoot\Whole\Purchase;
use Tally\Shoot\Whole\Question;
use Tally\Shoot\Whole\Wanted;
use Tally\Value\Values;
use Tally\Verdict\VerdictKind;

/** Which of the house's cards go where on a whole shoot: handbook § 7 in words, decided here by the mark. */
final class WholeShootTest extends TestCase
{
    private static function card(string $tag, Mark $mark, int $gigabytes = 128, bool $isProven = true): FitCard
    {
        $label = new Label(Form::Sd, Bytes::gigabytes($gigabytes), bus: Bus::UhsII, marks: [$mark]);
        $verdict = $isProven ? VerdictKind::Sound : VerdictKind::Unproven;

        return new FitCard($tag, new Ability($label, $verdict, $isProven ? Bytes::gigabytes($gigabytes) : null));
    }

    /**
     * @param  int  $minutes  a day
     * @param  list<int>  $days
     */
    private static function wanted(
        string $camera,
        int $megabits,
        int $minutes,
        array $days = [1],
        bool $spare = false,
        Recording $recording = Recording::OneSlot,
        ?int $proxies = null,
    ): Wanted {
        $rate = fn (int $megabits): Rate => Rate::bytesPerSecond($megabits * 125_000);
        $mode = new Mode(
            "{$megabits} Mb/s",
            ModeKind::LongGop,
            $rate($megabits),
            recording: $recording,
            proxies: $proxies === null ? null : $rate($proxies),
        );
        $slots = [new CameraSlot('A', [Bus::UhsII]), new CameraSlot('B', [Bus::UhsII])];

        return new Wanted(new Camera($camera, '', $slots, [$mode]), $mode, 60 * $minutes, $days, hasSpare: $spare);
    }

    /**
     * @param  list<Wanted>  $wanted
     * @param  list<FitCard>  $cards
     */
    private static function packed(
        array $wanted,
        array $cards,
        int $days = 1,
        int $home = 1,
        FitCriterion $criterion = FitCriterion::Mark,
    ): Packing {
        return Packing::of(new Question($days, $home, 0.0, $wanted, cards: $cards, criterion: $criterion));
    }

    /** @return array<string, list<string>> place → cards in order */
    private static function tags(Packing $packing): array
    {
        $tags = [];
        foreach ($packing->places as $one) {
            $tags[$one->place->name()] = array_map(fn (PackedCard $card): string => $card->tag, $one->cards);
        }

        return $tags;
    }

    public function test_a_card_that_alone_can_do_the_hard_mode_is_not_wasted_on_the_easy_one(): void
    {
        // 128 GB at 100 Mb/s are 171 minutes; at 600 Mb/s 28. The great fast card would serve the easy mode best.
        $cards = [self::card('fast', Mark::V90), self::card('slow', Mark::V30)];
        $packing = self::packed([self::wanted('C1', 100, 170), self::wanted('C2', 600, 28)], $cards);
        self::assertSame(['C1 100 Mb/s' => ['slow'], 'C2 600 Mb/s' => ['fast']], self::tags($packing));
        self::assertTrue($packing->isBest);
        self::assertSame([], $packing->buys);
    }

    public function test_no_more_card_is_taken_than_is_asked_for(): void
    {
        $cards = [self::card('V90', Mark::V90), self::card('V60', Mark::V60), self::card('V30', Mark::V30)];
        $packing = self::packed([self::wanted('C1', 100, 100)], $cards);
        self::assertSame(['C1 100 Mb/s' => ['V30']], self::tags($packing));
        self::assertSame(['V90', 'V60'], array_map(fn (FitCard $card): string => $card->tag, $packing->left));
        self::assertSame(['C1 400 Mb/s' => ['V60']], self::tags(self::packed([self::wanted('C1', 400, 20)], $cards)));
    }

    public function test_the_best_proven_goes_where_it_is_hardest(): void
    {
        $cards = [self::card('a', Mark::V60, isProven: false), self::card('b', Mark::V60)];
        $packing = self::packed([self::wanted('C1', 250, 60), self::wanted('C2', 400, 40)], $cards);
        self::assertSame(['C1 250 Mb/s' => ['a'], 'C2 400 Mb/s' => ['b']], self::tags($packing));
        self::assertSame('Unproven', $packing->places[0]->cards[0]->words);
    }

    public function test_minutes_add_up_over_the_cards_of_a_place_and_each_card_goes_once(): void
    {
        $cards = [self::card('a', Mark::V30, 64), self::card('b', Mark::V30, 64), self::card('c', Mark::V30, 32)];
        $packing = self::packed([self::wanted('C1', 200, 80)], $cards);
        // 64 GB at 200 Mb/s are 42 min 40 s.
        self::assertSame([2560, 2560], array_map(fn (PackedCard $card): int => $card->count, $packing->places[0]->cards));
        self::assertSame('85 min', $packing->places[0]->place->count->words($packing->places[0]->count()));
        $short = self::packed([self::wanted('C1', 200, 80), self::wanted('C2', 200, 60)], $cards);
        // 42 min 40 s twice and 21 min 20 s, for 140 min.
        self::assertSame(140 * 60 - 6400, array_sum(array_map(fn (PackedPlace $one): int => $one->missing(), $short->places)));
        self::assertSame([], $short->left);
        self::assertSame(0, $short->couldSave);
    }

    public function test_seconds_are_summed_and_not_rounded_minutes(): void
    {
        // 2.551 min a card at 418 Mb/s: eleven are 28 min, not 33 of 3 min each, nor 22 of 2.
        $cards = array_map(fn (int $i): FitCard => self::card("c{$i}", Mark::V90, 8), range(1, 11));
        $packing = self::packed([self::wanted('C1', 418, 33)], $cards);
        $place = $packing->places[0];
        self::assertCount(11, $place->cards);
        self::assertSame('28 min', $place->place->count->words($place->count()));
        self::assertSame('5 min', $place->misses());
        $told = Values::plain(PackingFile::of($packing)['places']);
        assert(is_array($told) && is_array($told[0]) && is_array($told[0]['cards']) && is_array($told[0]['cards'][0]));
        self::assertSame([33, 5], [$told[0]['need'], $told[0]['missing']]);
        self::assertSame([2, 153], [$told[0]['cards'][0]['holds'], $told[0]['cards'][0]['seconds']]);
        self::assertSame(0, self::packed([self::wanted('C1', 418, 28)], $cards)->places[0]->missing());
    }

    public function test_a_kept_card_of_before_holds_whole_minutes(): void
    {
        $count = self::wanted('C1', 200, 80)->places(1, 0.0)[0]->count;
        $before = ['card' => 'a', 'slot' => 'A', 'holds' => 42, 'capacity' => '64 GB', 'proven' => true, 'words' => ''];
        self::assertSame(42 * 60, Values::read(KeptCard::class, $before)->packed($count)->count);
        $now = new PackedCard('a', 'A', 2560, Bytes::gigabytes(64), isProven: true, words: '');
        self::assertEquals($now, Values::read(KeptCard::class, Values::plain($now->kept($count)))->packed($count));
    }

    public function test_what_records_without_a_pause_has_a_spare_after_all_minutes_are_there(): void
    {
        $cards = [self::card('a', Mark::V30), self::card('b', Mark::V30)];
        $packing = self::packed([self::wanted('C1', 200, 80, spare: true)], $cards);
        self::assertSame(['C1 200 Mb/s' => ['a'], 'C1 200 Mb/s, a spare' => ['b']], self::tags($packing));
        $short = self::packed([self::wanted('C1', 200, 80, spare: true), self::wanted('C2', 200, 80)], $cards);
        self::assertSame([0, 1, 0], array_map(fn (PackedPlace $one): int => $one->missing(), $short->places));
        self::assertSame([1], array_map(fn (Purchase $one): int => $one->cards, $short->buys));
    }

    public function test_a_camera_that_records_twice_or_makes_proxies_has_a_card_in_both_slots(): void
    {
        $cards = [self::card('a', Mark::V60), self::card('b', Mark::V60), self::card('c', Mark::V30, 32)];
        $both = self::packed([self::wanted('C1', 400, 40, recording: Recording::Both)], $cards);
        self::assertSame(['C1 400 Mb/s' => ['a'], 'C1 400 Mb/s, the same again' => ['b']], self::tags($both));
        self::assertSame(['A', 'B'], array_map(fn (PackedPlace $one): string => $one->cards[0]->slot, $both->places));
        $proxies = self::packed([self::wanted('C1', 400, 40, recording: Recording::Proxies, proxies: 20)], $cards);
        self::assertSame(['C1 400 Mb/s' => ['a'], 'C1 400 Mb/s, proxies' => ['c']], self::tags($proxies));
        $unknown = self::packed([self::wanted('C1', 400, 40, recording: Recording::Proxies)], $cards);
        self::assertSame(['C1 400 Mb/s' => ['a']], self::tags($unknown));
    }

    public function test_a_camera_that_goes_from_slot_to_slot_has_its_cards_in_turn(): void
    {
        $cards = [self::card('a', Mark::V60), self::card('b', Mark::V60), self::card('c', Mark::V60)];
        $packing = self::packed([self::wanted('C1', 400, 120, recording: Recording::Relay)], $cards);
        self::assertSame(['A', 'B', 'A'], array_map(fn (PackedCard $card): string => $card->slot, $packing->places[0]->cards));
    }

    public function test_cards_that_come_home_in_between_serve_again(): void
    {
        $wanted = [self::wanted('C1', 200, 80, [1, 2, 3])];
        $cards = [self::card('a', Mark::V30)];
        self::assertSame(0, self::packed($wanted, $cards, 3, 1)->places[0]->missing());
        self::assertSame(60 * 160 - 5120, self::packed($wanted, $cards, 3, 2)->places[0]->missing());
        self::assertSame(60 * 240 - 5120, self::packed($wanted, $cards, 3, 3)->places[0]->missing());
    }

    public function test_what_is_on_which_card_each_evening(): void
    {
        $cards = [self::card('a', Mark::V30, 64), self::card('b', Mark::V30, 64)];
        $packing = self::packed([self::wanted('C1', 200, 30, [1, 2, 3], spare: true)], [...$cards, self::card('c', Mark::V30, 64)], 3, 2);
        $on = array_map(fn (Evening $one): array => array_map(fn (Bytes $on): string => $on->exact(), $one->cards), Evening::of($packing));
        // 30 minutes of 200 Mb/s are 45 GB.
        self::assertSame([['a' => '45 GB'], ['a' => '64 GB', 'b' => '26 GB'], ['a' => '45 GB']], $on);
        self::assertSame([false, true, true], array_map(fn (Evening $one): bool => $one->comesHome, Evening::of($packing)));
    }

    public function test_the_least_is_bought_and_own_cards_move_for_it(): void
    {
        // The V60 does the easy mode alone; a V30 bought for that frees it.
        $packing = self::packed([self::wanted('C1', 100, 160), self::wanted('C2', 400, 40)], [self::card('a', Mark::V60)]);
        self::assertCount(1, $packing->buys);
        self::assertSame(['C1 100 Mb/s', 'V30', 1], [
            $packing->buys[0]->place->name(),
            $packing->buys[0]->mark?->value === 'V30' ? 'V30' : $packing->buys[0]->mark?->value,
            $packing->buys[0]->cards,
        ]);
        $guaranteed = self::packed([self::wanted('C1', 200, 60)], [], criterion: FitCriterion::Guaranteed);
        self::assertSame([null, 0], [$guaranteed->buys[0]->mark, $guaranteed->buys[0]->cards]);
    }

    public function test_a_struck_out_card_goes_nowhere_and_no_card_at_all_misses_everything(): void
    {
        $sham = new FitCard('s', new Ability(self::card('s', Mark::V90)->ability->label, VerdictKind::Sham));
        $packing = self::packed([self::wanted('C1', 100, 90)], [$sham]);
        self::assertSame(90 * 60, $packing->places[0]->missing());
        self::assertSame(['s'], array_map(fn (FitCard $one): string => $one->tag, $packing->left));
        self::assertSame(90 * 60, self::packed([self::wanted('C1', 100, 90)], [])->places[0]->missing());
        $pack = PackingFile::of($packing);
        self::assertIsArray($pack['buy']);
        self::assertCount(1, $pack['buy']);
    }
}
