<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Cards\PriceQuote;
use Illuminate\Support\ViewErrorBag;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

final class PricesTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private static function quote(array $with = []): array
    {
        return [
            'form' => 'sd',
            'tier' => '10',
            'capacity' => '32 GB',
            'price' => '16.00 EUR',
            'quoted_on' => '2026-11-02',
            'source' => 'Quay Street Photo',
            ...$with,
        ];
    }

    public function test_quotes_are_kept_and_their_median_is_the_reference(): void
    {
        foreach (['16.00', '12.80', '64.00'] as $price) {
            $this->post('/prices', self::quote(['price' => "{$price} EUR"]))->assertSessionHasNoErrors();
        }
        $this->post('/prices', self::quote(['tier' => '30', 'price' => '9 EUR']));
        $this->get('/prices')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Prices', false)
                ->has('references', 2)
                ->where('references.0.words', '0.500 EUR/GB, median of 3 quotes, of all capacities')
                ->where('references.0.median', 0.5)
                ->where('references.1.words', '0.281 EUR/GB, one quote')
                ->has('quotes', 4),
        );
    }

    public function test_a_card_that_is_too_cheap_is_found_when_the_quote_comes_and_cleared_when_it_goes(): void
    {
        $card = $this->card(['price' => 390, 'currency' => 'EUR']);
        $this->get("/intake/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'margin.reasons',
                fn ($reasons): bool => ! str_contains((string) json_encode($reasons), 'market'),
            ),
        );
        foreach (range(1, 3) as $ignored) {
            $this->post('/prices', self::quote());
        }
        $this->get("/intake/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('margin.verdict', 'Unproven')
                ->where(
                    'margin.reasons',
                    fn ($reasons): bool => str_contains(
                        (string) json_encode($reasons, JSON_UNESCAPED_SLASHES),
                        '0.122 EUR/GB is 24.4 % of what such cards cost here, 0.500 EUR/GB (the median of 3 quotes for 16 GB to 64 '.
                        'GB). A reason to prove it first of all',
                    ),
                ),
        );
        self::assertSame(VerdictKind::Unproven, Card::query()->findOrFail($card->id)->verdict);
        foreach (PriceQuote::query()->get() as $quote) {
            $this->delete("/prices/{$quote->id}");
        }
        $this->get('/prices')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->has('references', 0)->has('quotes', 0),
        );
    }

    public function test_while_typing_the_margin_says_what_such_cards_cost_or_that_nobody_knows(): void
    {
        $typed = ['form' => 'sd', 'capacity' => '32 GB', 'marks' => ['C10'], 'price' => '7.00', 'provenance' => 'retail'];
        self::assertSame(
            'no reference for SD, V10, U1, C10: 10 MB/s and up of about this size: it takes 3 quotes',
            $this->postJson('/intake/preview', $typed)->json('market'),
        );
        foreach (range(1, 3) as $ignored) {
            $this->post('/prices', self::quote());
        }
        $answer = $this->postJson('/intake/preview', $typed);
        self::assertSame('0.500 EUR/GB, median of 3 quotes for SD, V10, U1, C10: 10 MB/s and up, 16 GB to 64 GB', $answer->json('market'));
        self::assertStringContainsString('43.8 % of what such cards cost here', (string) json_encode($answer->json('findings')));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function mistakes(): iterable
    {
        yield 'no form' => [['form' => 'floppy'], 'form', 'The form “floppy”'];
        yield 'no such floor' => [['tier' => '31'], 'tier', 'The mark “31”'];
        yield 'capacity in bits' => [['capacity' => '32 Gb'], 'capacity', 'is in bits'];
        yield 'no price' => [['price' => 'cheap'], 'price', '“cheap” is not a price'];
        yield 'dollars of whom' => [['price' => '$20'], 'price', 'several countries'];
        yield 'no day' => [['quoted_on' => 'lately'], 'quoted_on', '“lately” is not a day'];
        yield 'a day to come' => [['quoted_on' => '2199-01-01'], 'quoted_on', 'up to today'];
        yield 'nobody asked it' => [['source' => ''], 'source', 'The source is empty'];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('mistakes')]
    public function test_a_mistake_gets_a_sentence_and_nothing_is_kept(array $with, string $field, string $words): void
    {
        $this->post('/prices', self::quote($with))->assertSessionHasErrors($field);
        $errors = session('errors');
        self::assertInstanceOf(ViewErrorBag::class, $errors);
        self::assertStringContainsString($words, $errors->first($field));
        $this->assertDatabaseCount('price_quotes', 0);
    }
}
