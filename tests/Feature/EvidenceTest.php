<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\HouseKnowledge;
use App\Evidence\SeenOnCard;
use App\Intake\CardBook;
use App\Models\Cards\Card;
use App\Models\Cards\Inspection;
use App\Models\Cards\PriceQuote;
use App\Models\Kit\Reader;
use Illuminate\Support\Facades\DB;
use Tally\Inspection\Question;
use Tally\Inspection\Seen;
use Tally\Label\Finding;
use Tally\Label\Form;
use Tally\Verdict\Step;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/** What the house knows of a card besides its runs: other cards, prices, and what was seen on it. */
final class EvidenceTest extends TestCase
{
    private function see(Card $card, string $question, string $answer, ?string $reader = null, ?string $withdrawn = null): Inspection
    {
        return Inspection::query()->create([
            'card_id' => $card->id,
            'question' => $question,
            'answer' => $answer,
            'seen_by' => 'Wren',
            'withdrawn' => $withdrawn,
            'reader_id' => $reader === null ? null : Reader::query()->where('tag', $reader)->value('id'),
        ]);
    }

    /** @return array<string, mixed> columns of a card as it is typed */
    private static function columns(string $tag, ?string $serial = null, ?string $lot = null): array
    {
        return [
            'tag' => $tag,
            'name' => 'Tindle',
            'form' => Form::Sd,
            'capacity' => 32_000_000_000,
            'family' => null,
            'bus' => null,
            'marks' => [],
            'read' => null,
            'write' => null,
            'sustained' => null,
            'times' => null,
            'contact_rows' => null,
            'footage' => 0,
            'serial' => $serial,
            'back_code' => null,
            'lot' => $lot,
            'price' => null,
            'currency' => null,
            'seller' => null,
            'order_no' => null,
            'bought_on' => null,
            'provenance' => null,
        ];
    }

    public function test_cards_that_share_something_are_found_however_it_was_typed(): void
    {
        $card = $this->card(['tag' => 'A-1', 'serial' => 'ab 1', 'back_code' => 'K-1', 'lot' => 'L.7']);
        $this->card(['tag' => 'A-3', 'serial' => 'AB1']);
        $this->card(['tag' => 'A-2', 'serial' => 'AB-1', 'back_code' => 'k1']);
        $this->card(['tag' => 'A-4', 'lot' => 'l7', 'verdict' => 'Sham']);
        $this->card(['tag' => 'A-5', 'lot' => 'L8', 'verdict' => 'Sham', 'serial' => 'AB2']);
        $sisters = HouseKnowledge::sisters($card);
        self::assertSame(['A-2', 'A-3'], $sisters->sameSerial);
        self::assertSame(['A-2'], $sisters->sameBackCode);
        self::assertSame([2, 1, 1], [$sisters->lotSize, $sisters->lotSham, $sisters->otherSham]);
    }

    public function test_a_card_alone_has_no_sisters_and_costs_no_question(): void
    {
        $card = $this->card();
        DB::enableQueryLog();
        DB::flushQueryLog();
        $sisters = HouseKnowledge::sisters($card);
        self::assertSame([], DB::getQueryLog());
        self::assertSame([[], [], 0, 0], [$sisters->sameSerial, $sisters->sameBackCode, $sisters->lotSize, $sisters->lotSham]);
    }

    public function test_all_that_is_shared_is_one_question_to_the_database(): void
    {
        $card = $this->card(['serial' => 'S1', 'back_code' => 'K1', 'lot' => 'L1']);
        DB::enableQueryLog();
        DB::flushQueryLog();
        HouseKnowledge::sisters($card);
        self::assertCount(1, DB::getQueryLog());
    }

    public function test_a_sham_card_counts_in_its_own_lot_but_is_no_sister_of_itself(): void
    {
        $card = $this->card(['lot' => 'L1', 'verdict' => 'Sham']);
        $sisters = HouseKnowledge::sisters($card);
        self::assertSame([1, 1, 0], [$sisters->lotSize, $sisters->lotSham, $sisters->otherSham]);
        self::assertNotContains(
            'bad-sister',
            array_map(fn (Finding $finding): string => $finding->id, (new HouseKnowledge())->findings($card)),
        );
    }

    public function test_a_reference_is_asked_for_once_however_many_cards_are_looked_at(): void
    {
        foreach (range(1, 3) as $i) {
            PriceQuote::query()->create([
                'form' => 'sd',
                'tier' => 10,
                'capacity' => 32_000_000_000,
                'price' => 1000 * $i,
                'currency' => 'EUR',
                'quoted_on' => '2026-11-01',
                'source' => 'test',
            ]);
        }
        $house = new HouseKnowledge();
        $label = $this->card()->label();
        DB::enableQueryLog();
        DB::flushQueryLog();
        foreach (range(1, 5) as $ignored) {
            self::assertSame('0.625 EUR/GB', $house->reference($label, 'EUR')?->print());
            self::assertNull($house->reference($label, 'GBP'));
        }
        self::assertCount(2, DB::getQueryLog());
    }

    public function test_the_newest_answer_counts_and_trouble_in_a_reader_is_not_undone(): void
    {
        $card = $this->card();
        $this->see($card, 'shell', 'cracked');
        $this->see($card, 'shell', 'whole');
        $this->see($card, 'seating', 'pressed', 'R1');
        $this->see($card, 'seating', 'found', 'R2');
        $this->see($card, 'print', 'sticker', withdrawn: 'wrong card');
        $said = array_map(
            fn (Seen $seen): string => "{$seen->question->value} {$seen->answer->key} {$seen->reader}",
            SeenOnCard::of($card)->counted(),
        );
        self::assertSame(['shell whole ', 'seating pressed R1', 'seating found R2'], $said);
        self::assertNull(SeenOnCard::of($card)->newestTo(Question::Print));
        self::assertSame(5, SeenOnCard::of($card)->all->count());
    }

    public function test_a_look_is_complete_when_every_question_of_the_form_has_an_answer(): void
    {
        $card = $this->card();
        $questions = Question::for($card->label());
        foreach ($questions as $question) {
            self::assertFalse(SeenOnCard::of($card)->isComplete($card->label()));
            $this->see($card, $question->value, $question->answers()[0]->key, $question->isInReader() ? 'R1' : null);
        }
        self::assertTrue(SeenOnCard::of($card)->isComplete($card->label()));
    }

    public function test_many_cards_are_entered_with_line_keys_verdict_and_next_step(): void
    {
        CardBook::enter([self::columns('B-1', 'S 1', 'L1'), self::columns('B-2', 's1', 'L1'), self::columns('B-3')], 'Wren');
        $cards = Card::query()->orderBy('tag')->get();
        self::assertSame(['S1', 'S1', null], $cards->pluck('serial_key')->all());
        self::assertSame(['32 GB · SD', '32 GB · SD', '32 GB · SD'], $cards->pluck('line')->all());
        self::assertSame([VerdictKind::Unproven, VerdictKind::Unproven, VerdictKind::Unproven], $cards->pluck('verdict')->all());
        self::assertSame([Step::Inspect, Step::Inspect, Step::Inspect], $cards->pluck('next_step')->all());
        self::assertSame(['Wren'], $cards->pluck('recorded_by')->unique()->all());
        self::assertNotNull($cards[0]?->getAttribute('created_at'));
    }

    public function test_a_corrected_serial_clears_the_card_it_was_mistaken_for(): void
    {
        CardBook::enter([self::columns('B-1', 'S1'), self::columns('B-2', 'S1')], null);
        $second = Card::query()->where('tag', 'B-2')->firstOrFail();
        CardBook::correct($second, self::columns('B-2', 'S2'), 0, 'Wren');
        $met = fn (string $tag): int => count(
            array_filter(
                (new HouseKnowledge())->findings(Card::query()->where('tag', $tag)->firstOrFail()),
                fn (Finding $one): bool => $one->id === 'serial-met-before',
            ),
        );
        self::assertSame([0, 0], [$met('B-1'), $met('B-2')]);
        CardBook::correct($second, self::columns('B-2', 'S1'), 1, 'Wren');
        self::assertSame([1, 1], [$met('B-1'), $met('B-2')]);
    }

    public function test_every_answer_to_every_question_of_every_form_can_be_given_on_the_page(): void
    {
        $given = 0;
        foreach (Form::cases() as $i => $form) {
            $card = $this->card(['tag' => "F-{$i}", 'form' => $form, 'bus' => null, 'family' => null, 'marks' => []]);
            foreach (Question::for($card->label()) as $question) {
                foreach ($question->answers() as $answer) {
                    $this->post("/cards/{$card->tag}/inspections", [
                        'by' => 'Wren',
                        'question' => $question->value,
                        'answer' => $answer->key,
                        'code' => "c{$given}",
                        'reader' => 'R1',
                    ])->assertSessionHasNoErrors();
                    $given++;
                }
            }
            $this->get("/inspect/{$card->tag}")->assertOk();
        }
        $this->assertDatabaseCount('inspections', $given);
    }
}
