<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Label\Mark;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

final class IntakeTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private static function label(array $with = []): array
    {
        return [
            'tag' => 'QS-100',
            'name' => 'Marrowick Tideline',
            'form' => 'sd',
            'capacity' => '128 GB',
            'family' => 'SDXC',
            'bus' => 'uhs-ii',
            'marks' => ['U3', 'V60'],
            'read' => '250 MB/s',
            'write' => '1040 Mb/s',
            'times' => '',
            'contact_rows' => '2',
            'footage' => '',
            ...$with,
        ];
    }

    public function test_a_label_is_entered_as_it_is_printed(): void
    {
        $this->post('/cards', self::label())->assertRedirect('/intake/QS-100');
        $card = Card::query()->where('tag', 'QS-100')->firstOrFail();
        self::assertSame(128_000_000_000, $card->capacity->count);
        self::assertSame(130e6, $card->write?->bytesPerSecond);
        self::assertSame([Mark::U3, Mark::V60], $card->marks->all());
        self::assertSame(VerdictKind::Unproven, $card->verdict);
        self::assertNull($card->times);
    }

    public function test_a_card_can_be_sham_before_it_was_ever_plugged_in(): void
    {
        $this->post('/cards', self::label(['contact_rows' => '1']));
        self::assertSame(VerdictKind::Sham, Card::query()->where('tag', 'QS-100')->firstOrFail()->verdict);
        $this->get('/intake/QS-100')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Intake', false)
                ->where('margin.verdict', 'Sham')
                ->where(
                    'margin.reasons.0.rest',
                    'It has one row of contacts, which is UHS-I at the most, and says UHS-II and V60: that needs two.',
                ),
        );
    }

    public function test_correcting_a_label_derives_the_verdict_anew(): void
    {
        $this->post('/cards', self::label(['contact_rows' => '1']));
        $this->put('/cards/QS-100', self::label(['contact_rows' => '2', 'tag' => 'qs-101', 'revision' => 0]))->assertRedirect(
            '/intake/QS-101',
        );
        $card = Card::query()->where('tag', 'QS-101')->firstOrFail();
        self::assertSame(VerdictKind::Unproven, $card->verdict);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> field, change, words of the sentence */
    public static function mistakes(): iterable
    {
        yield 'no tag' => ['tag', ['tag' => ''], 'The tag is empty'];
        yield 'tag that no address carries' => ['tag', ['tag' => 'QS/1'], 'The tag “QS/1” has a character'];
        yield 'long tag' => ['tag', ['tag' => str_repeat('Q', 21)], 'longer than 20'];
        yield 'no name' => ['name', ['name' => ' '], 'The name is empty'];
        yield 'no capacity' => ['capacity', ['capacity' => ''], 'The capacity is empty'];
        yield 'capacity that is none' => ['capacity', ['capacity' => 'large'], '“large” is not a size'];
        yield 'capacity in bits' => ['capacity', ['capacity' => '128 Gb'], 'is in bits'];
        yield 'no capacity at all' => ['capacity', ['capacity' => '0 GB'], 'zero or less'];
        yield 'capacity beyond counting' => ['capacity', ['capacity' => '99999 PB'], 'larger than this program counts'];
        yield 'a list for a capacity' => ['capacity', ['capacity' => ['128 GB']], 'Text was expected'];
        yield 'read that is none' => ['read', ['read' => 'fast'], '“fast” is not a speed'];
        yield 'read in bits or bytes' => ['read', ['read' => '95mb/s'], 'could be megabits or megabytes'];
        yield 'write of nothing' => ['write', ['write' => '0 MB/s'], 'zero or less'];
        yield 'rating that is none' => ['times', ['times' => 'many'], 'The ×-rating “many”'];
        yield 'form unknown' => ['form', ['form' => 'floppy'], 'The form “floppy” is not one of the list'];
        yield 'bus unknown' => ['bus', ['bus' => 'uhs-ix'], 'The bus “uhs-ix” is not one of the list'];
        yield 'bus of another form' => ['bus', ['bus' => 'cfexpress-2-b'], 'CFexpress 2.0 does not exist on SD cards'];
        yield 'family on a form without' => [
            'family',
            ['form' => 'cfexpress-b', 'bus' => '', 'marks' => []],
            'CFexpress B cards have no family mark',
        ];
        yield 'mark unknown' => ['marks.0', ['marks' => ['V61']], 'The mark “V61” is not one of the list'];
        yield 'mark twice' => ['marks.1', ['marks' => ['V60', 'V60']], 'was given twice'];
        yield 'three rows of contacts' => ['contact_rows', ['contact_rows' => '3'], 'one or two; “3” was given'];
        yield 'a price that is none' => ['price', ['price' => 'cheap'], '“cheap” is not a price'];
        yield 'a price in two currencies' => ['price', ['price' => '9 EUR', 'currency' => 'GBP'], 'the currency beside it says GBP'];
        yield 'no such currency' => ['currency', ['price' => '9', 'currency' => 'QQQ'], 'is not a currency'];
        yield 'a day that is none' => ['bought_on', ['bought_on' => '31.02.2026'], '“31.02.2026” is not a day'];
        yield 'a day that two read differently' => ['bought_on', ['bought_on' => '03/04/2026'], 'Write it as 2026-11-25'];
        yield 'a day to come' => ['bought_on', ['bought_on' => '2199-01-01'], 'is still to come'];
        yield 'provenance unknown' => ['provenance', ['provenance' => 'stolen'], 'The provenance “stolen” is not one of the list'];
        yield 'a long serial' => ['serial', ['serial' => str_repeat('7', 61)], 'longer than a label can be'];
        yield 'none of them' => ['count', ['count' => '0'], 'Give a whole number from 1 to 200'];
        yield 'too many at once' => ['count', ['count' => '201'], 'How many was “201”'];
        yield 'a series from a tag without a number' => ['count', ['tag' => 'SPARE', 'count' => '3'], '“SPARE” ends in no number'];
        yield 'more serials than cards' => ['serials', ['count' => '2', 'serials' => "A\nB\nC"], '3 serials were given for 2 cards'];
        yield 'more footage than card' => ['footage', ['footage' => '129 GB'], '129 GB of footage cannot be on a card of 128 GB'];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('mistakes')]
    public function test_a_mistake_gets_a_sentence_and_nothing_is_saved(string $field, array $change, string $words): void
    {
        $this->post('/cards', self::label($change))->assertSessionHasErrors($field);
        $errors = session('errors');
        self::assertInstanceOf(\Illuminate\Support\ViewErrorBag::class, $errors);
        self::assertStringContainsString($words, $errors->first($field));
        self::assertSame(0, Card::query()->count());
    }

    public function test_two_cards_cannot_carry_one_tag(): void
    {
        $this->post('/cards', self::label());
        $this->post('/cards', self::label())->assertSessionHasErrors([
            'tag' => 'Another card is already tagged “QS-100”. Choose another code.',
        ]);
        $this->put('/cards/QS-100', [...self::label(), 'revision' => 0])->assertSessionHasNoErrors();
    }

    public function test_a_label_survives_being_opened_and_saved_unchanged(): void
    {
        $card = $this->card(['capacity' => 31_914_983_424, 'read' => 94_371_840.0, 'times' => 633.5]);
        $page = $this->get("/intake/{$card->tag}")->viewData('page');
        self::assertIsArray($page);
        $values = data_get($page, 'props.values');
        self::assertInstanceOf(\App\Pages\Card\IntakeProps::class, $values);
        $this->put("/cards/{$card->tag}", [...get_object_vars($values), 'revision' => 0])->assertSessionHasNoErrors();
        $again = $card->fresh();
        self::assertSame([31_914_983_424, 94_371_840.0, 633.5], [$again?->capacity->count, $again?->read?->bytesPerSecond, $again?->times]);
    }

    public function test_where_it_comes_from_is_kept_and_opened_again_the_same(): void
    {
        $this->post(
            '/cards',
            self::label([
                'serial' => ' SN 7-1 ',
                'back_code' => 'K4',
                'price' => '€24,90',
                'seller' => 'Quay',
                'order_no' => 'O-1',
                'lot' => 'L 7',
                'bought_on' => '14 Oct 2026',
                'provenance' => 'marketplace',
            ]),
        )->assertSessionHasNoErrors();
        $card = Card::query()->where('tag', 'QS-100')->firstOrFail();
        self::assertSame(
            ['SN 7-1', 'SN71', 2490, 'EUR', 'L7', '2026-10-14'],
            [$card->serial, $card->serial_key, $card->price, $card->currency, $card->lot_key, $card->bought_on?->format('Y-m-d')],
        );
        $page = $this->get('/intake/QS-100')->viewData('page');
        self::assertIsArray($page);
        $values = data_get($page, 'props.values');
        self::assertInstanceOf(\App\Pages\Card\IntakeProps::class, $values);
        self::assertSame(['24.90 EUR', '2026-10-14', 'marketplace'], [$values->price, $values->bought_on, $values->provenance]);
        $before = $card->getAttributes();
        $this->put('/cards/QS-100', [...get_object_vars($values), 'revision' => 0])->assertSessionHasNoErrors();
        self::assertSame($before, Card::query()->where('tag', 'QS-100')->firstOrFail()->getAttributes());
    }

    public function test_a_whole_lot_is_entered_at_once_with_a_series_of_tags(): void
    {
        $this->post(
            '/cards',
            self::label(['tag' => 'QS-098', 'count' => '4', 'lot' => 'L7', 'serial' => 'ignored', 'serials' => "S1\n\n S2 \nS3"]),
        )->assertRedirect('/intake/QS-098');
        $cards = Card::query()->orderByRaw('length(tag), tag')->get();
        self::assertSame(['QS-098', 'QS-099', 'QS-100', 'QS-101'], $cards->pluck('tag')->all());
        self::assertSame(['S1', 'S2', 'S3', null], $cards->pluck('serial')->all());
        self::assertSame(['L7'], $cards->pluck('lot_key')->unique()->all());
        $this->post('/cards', self::label(['tag' => 'QS-096', 'count' => '3']))->assertSessionHasErrors([
            'tag' => 'Of the series QS-096 to QS-098, QS-098 is taken already. Begin it elsewhere.',
        ]);
        self::assertSame(4, Card::query()->count());
    }

    public function test_while_typing_other_cards_speak_up(): void
    {
        $this->card(['tag' => 'A-1', 'serial' => 'S-1', 'back_code' => 'K1', 'lot' => 'L7', 'verdict' => 'Sham']);
        $typed = ['form' => 'sd', 'capacity' => '32 GB', 'serial' => 's1', 'back_code' => 'k 1', 'lot' => 'l7', 'provenance' => 'sample'];
        $findings = (string) json_encode($this->postJson('/intake/preview', $typed)->json('findings'));
        foreach (
            [
                'The serial s1 is on A-1 too',
                'The back code k 1 is on A-1 too',
                '1 of 1 other from lot l7 is Sham',
                'A sample from before it was sold',
            ] as $words
        ) {
            self::assertStringContainsString($words, $findings);
        }
        // The card that is being corrected does not meet itself.
        self::assertStringNotContainsString(
            'on A-1 too',
            (string) json_encode($this->postJson('/intake/preview', [...$typed, 'card' => 'A-1'])->json('findings')),
        );
    }

    public function test_the_next_tag_of_the_series_is_offered(): void
    {
        $this->card(['tag' => 'QS-099']);
        $this->card(['tag' => 'QS-100']);
        $this->card(['tag' => 'AB-999']);
        $this->get('/intake')->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where('values.tag', 'QS-101'));
    }

    public function test_a_tag_that_is_on_no_card_is_not_found(): void
    {
        $this->get('/intake/QS-404')->assertNotFound();
    }
}
