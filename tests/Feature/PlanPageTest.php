<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Kit\Cable;
use App\Models\Kit\Reader;
use App\Pages\Offload\PlanPictureProps;
use Illuminate\Support\Facades\Artisan;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tally\Verdict\VerdictKind;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** The whole offload, from the books of the house. */
final class PlanPageTest extends TestCase
{
    use TemporaryFolder;

    /** @param  array<string, mixed>  $with */
    private function laden(string $tag, string $amount, array $with = []): Card
    {
        $card = $this->card(['tag' => $tag, ...$with]);
        $this->post("/cards/{$tag}/footage", ['footage' => $amount, 'by' => 'Wren'])->assertSessionHasNoErrors();

        return $card->refresh();
    }

    public function test_cards_with_footage_are_planned_and_nothing_else(): void
    {
        $this->laden('T-1', '20 GB');
        $this->laden('T-2', '9 GB');
        $this->card(['tag' => 'T-3']);
        $this->laden('T-4', '5 GB')->forceFill(['verdict' => VerdictKind::Sham])->save();
        $this->get('/offload')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Plan')
                ->where('plan.amount', '29 GB')
                ->has('plan.cards', 2)
                ->where('ticked', ['T-1', 'T-2', 'T-4'])
                ->where('leftOut', ['T-4 is Sham and left out. Copy its footage first, alone and gently, and keep the card.'])
                ->where('rests', fn (mixed $rests): bool => str_contains((string) json_encode($rests), '"reading of T-1"'))
                ->where('plan.lanes', fn (mixed $lanes): bool => str_contains((string) json_encode($lanes), 'put T-1 into'))
                ->where('plan.hands', 1),
        );
    }

    public function test_the_cards_that_were_ticked_and_the_rules_that_were_chosen(): void
    {
        $this->laden('T-1', '20 GB');
        $this->laden('T-2', '9 GB');
        $this->get('/offload?cards[]=T-2&copies=1&goal=hands&scheme=straight&verify=none&hands=2&swap=40')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->has('plan.cards', 1)
                ->where('plan.cards.0.tag', 'T-2')
                ->where('plan.cards.0.clear', null)
                ->has('plan.cards.0.drives', 1)
                ->where('rules.copies', '1')
                ->where('rules.swap', '40')
                ->where('rules.goal', 'hands'),
        );
        foreach (['cards[]=T-9', 'cards[]='] as $none) {
            $this->get("/offload?{$none}")->assertInertia(
                fn (AssertableInertia $page): AssertableInertia => $page->has('plan.cards', 0)->where('ticked', []),
            );
        }
    }

    public function test_a_house_without_footage_is_told_so(): void
    {
        $this->get('/offload')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->has('plan.cards', 0)->where('plan.done', 0),
        );
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function mistakes(): iterable
    {
        yield 'too many copies' => ['copies=9', 'copies', 'The number of copies was “9”: choose 1, 2 or 3.'];
        yield 'no goal' => ['goal=cheap', 'goal', 'The goal “cheap” is not one of the list. Choose one.'];
        yield 'no hands' => ['hands=none', 'hands', 'The pairs of hands were “none”: give a whole number from 1 to 9.'];
        yield 'no list' => ['cards=T-1', 'cards', 'The cards were not sent as a list of at most 60. Tick those that come home.'];
        yield 'a list for a word' => ['scheme[]=x', 'scheme', 'The scheme “a list” is not one of the list. Choose one.'];
    }

    #[DataProvider('mistakes')]
    public function test_a_mistake_gets_a_sentence(string $query, string $field, string $sentence): void
    {
        $this->get("/offload?{$query}")->assertSessionHasErrors([$field => $sentence]);
    }

    public function test_the_terminal_plans_from_the_books_too(): void
    {
        $this->laden('T-1', '20 GB');
        $this->laden('T-2', '9 GB');
        self::assertSame(0, Artisan::call('tally:plan', ['--cards' => 't-2', '--json' => true]));
        $plan = (array) json_decode(Artisan::output(), true);
        self::assertSame(['T-2'], array_column((array) $plan['cards'], 'tag'));
        self::assertSame(2, Artisan::call('tally:plan', ['--cards' => 'T-1,T-9']));
        $this->card(['tag' => 'T-3']);
        self::assertSame(1, Artisan::call('tally:plan', ['--cards' => 'T-3']), 'there is no footage on it');
    }

    public function test_what_would_help_is_worked_out_and_held_against_its_price(): void
    {
        $this->laden('T-1', '20 GB');
        $this->laden('T-2', '9 GB');
        $ask = ['goal' => 'safe', 'copies' => '2', 'price' => '90', 'hour' => '45', 'month' => '12'];
        $found = $this->postJson('/offload/what-if', $ask)->assertOk()->json();
        self::assertIsArray($found);
        self::assertNotSame([], $found);
        foreach ($found as $one) {
            self::assertGreaterThan(0, data_get($one, 'saves'));
            self::assertSame(data_get($one, 'isBought') === true, is_string(data_get($one, 'worth')));
        }
        $this->postJson('/offload/what-if', [...$ask, 'price' => 'dear'])->assertJsonValidationErrors([
            'price' => 'The price was “dear”: give a number, such as 180.',
        ]);
    }

    public function test_beside_it_are_how_sure_it_is_and_plans_of_other_kinds(): void
    {
        $this->laden('T-1', '20 GB');
        $this->laden('T-2', '9 GB');
        $ask = ['cards' => ['T-1', 'T-2'], 'goal' => 'free'];
        $beside = $this->postJson('/offload/beside', $ask)->assertOk();
        self::assertSame(200, $beside->json('draws'));
        self::assertLessThanOrEqual($beside->json('done.middle'), $beside->json('done.early'));
        self::assertGreaterThanOrEqual($beside->json('done.middle'), $beside->json('done.late'));
        self::assertSame([true, false, false, false, false, false], array_column((array) $beside->json('others'), 'isShown'));
        self::assertSame(
            ['cards free soonest', 'all safe soonest', 'least hands', 'fan-out for all', 'relay for all', 'straight for all'],
            array_column((array) $beside->json('others'), 'words'),
        );
        $better = $this->postJson('/offload/better', $ask)->assertOk();
        $shown = data_get($beside->json('others'), '0.free');
        self::assertIsNumeric($shown);
        self::assertLessThanOrEqual((float) $shown + 1e-6, $better->json('free'));
        $this->postJson('/offload/beside', ['cards' => ['']])->assertOk()->assertJsonPath('others', []);
    }

    public function test_the_files_that_were_counted_and_the_previews_that_were_timed_count(): void
    {
        $this->card(['tag' => 'T-1']);
        $sent = ['footage' => '20 GB', 'files' => '40000', 'by' => 'Wren'];
        $this->post('/cards/T-1/footage', $sent)->assertSessionHasNoErrors();
        $done = function (string $query): float {
            $plan = data_get($this->get("/offload?cards[]=T-1{$query}")->viewData('page'), 'props.plan');

            return $plan instanceof PlanPictureProps ? $plan->done : self::fail('there is no plan');
        };
        $without = $done('');
        // 0.01 s for each file, of the copy and of its read-back.
        self::assertGreaterThan(800.0, $without);
        self::assertGreaterThanOrEqual($without, $done('&previews=1'));
        $this->post('/cards/T-1/footage', [...$sent, 'files' => 'many'])->assertSessionHasErrors('files');
    }

    public function test_the_runbook_is_one_page_with_what_hands_do(): void
    {
        $this->laden('T-1', '20 GB');
        $this->laden('T-2', '9 GB');
        $pdf = $this->get('/offload/runbook.pdf?cards[]=T-1&cards[]=T-2&copies=2')->assertOk();
        $pdf->assertHeader('Content-Type', 'application/pdf');
        file_put_contents($path = $this->folder().'/runbook.pdf', (string) $pdf->getContent());
        $text = new Process(['pdftotext', '-layout', $path, '-']);
        $text->mustRun();
        $expected = ['2 cards, 2 copies each', 'put T-1 into', 'put T-2 into', 'may be cleared after', 'Clear a card only when two'];
        foreach ($expected as $words) {
            self::assertStringContainsString($words, $text->getOutput());
        }
        self::assertSame(1, substr_count($text->getOutput(), "\f"));
        // Which cable goes with a reader is in the kit.
        Reader::query()->update(['cable_id' => Cable::query()->where('tag', 'K2')->firstOrFail()->id]);
        file_put_contents($path, (string) $this->get('/offload/runbook.pdf?cards[]=T-1')->getContent());
        $text->mustRun();
        self::assertStringContainsString(' with cable K2 into ', $text->getOutput());
    }
}
