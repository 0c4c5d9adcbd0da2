<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Card;
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
            'tag' => 'QS-100', 'name' => 'Marrowick Tideline', 'form' => 'sd', 'capacity' => '128 GB', 'family' => 'SDXC', 'bus' => 'uhs-ii',
            'marks' => ['U3', 'V60'], 'read' => '250 MB/s', 'write' => '1040 Mb/s', 'times' => '', 'contact_rows' => '2', 'footage' => '', ...$with,
        ];
    }

    public function test_a_label_is_entered_as_it_is_printed(): void
    {
        $this->post('/cards', self::label())->assertRedirect('/intake/QS-100');
        $card = Card::query()->where('tag', 'QS-100')->firstOrFail();
        self::assertSame(128_000_000_000, $card->capacity);
        self::assertSame(130e6, $card->write);
        self::assertSame([Mark::U3, Mark::V60], $card->marks->all());
        self::assertSame(VerdictKind::Unproven, $card->verdict);
        self::assertNull($card->times);
    }

    public function test_a_card_can_be_sham_before_it_was_ever_plugged_in(): void
    {
        $this->post('/cards', self::label(['contact_rows' => '1']));
        self::assertSame(VerdictKind::Sham, Card::query()->where('tag', 'QS-100')->firstOrFail()->verdict);
        $this->get('/intake/QS-100')->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page
            ->component('Intake', false)
            ->where('margin.verdict', 'Sham')
            ->where('margin.reasons.0.rest', 'Says UHS-II but has one row of contacts; that bus needs two.'));
    }

    public function test_correcting_a_label_derives_the_verdict_anew(): void
    {
        $this->post('/cards', self::label(['contact_rows' => '1']));
        $this->put('/cards/QS-100', self::label(['contact_rows' => '2', 'tag' => 'qs-101']))->assertRedirect('/intake/QS-101');
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
        yield 'family on a form without' => ['family', ['form' => 'cfexpress-b', 'bus' => '', 'marks' => []], 'CFexpress B cards have no family mark'];
        yield 'mark unknown' => ['marks.0', ['marks' => ['V61']], 'The mark “V61” is not one of the list'];
        yield 'mark twice' => ['marks.1', ['marks' => ['V60', 'V60']], 'was given twice'];
        yield 'three rows of contacts' => ['contact_rows', ['contact_rows' => '3'], 'one or two; “3” was given'];
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
        $this->post('/cards', self::label())->assertSessionHasErrors(['tag' => 'Another card is already tagged “QS-100”. Choose another code.']);
        $this->put('/cards/QS-100', self::label())->assertSessionHasNoErrors();
    }

    public function test_a_label_survives_being_opened_and_saved_unchanged(): void
    {
        $card = $this->card(['capacity' => 31_914_983_424, 'read' => 94_371_840.0, 'times' => 633.5]);
        $page = $this->get("/intake/{$card->tag}")->viewData('page');
        self::assertIsArray($page);
        $values = data_get($page, 'props.values');
        self::assertInstanceOf(\App\Props\Label\IntakeProps::class, $values);
        $this->put("/cards/{$card->tag}", get_object_vars($values))->assertSessionHasNoErrors();
        $again = $card->fresh();
        self::assertSame([31_914_983_424, 94_371_840.0, 633.5], [$again?->capacity, $again?->read, $again?->times]);
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
