<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\EvidenceFile\ResultFile;
use App\Models\Cards\Card;
use App\Models\Cards\Overrule;
use Illuminate\Support\Facades\Artisan;
use Inertia\Testing\AssertableInertia;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tally\Verdict\Step;
use Tally\Verdict\VerdictKind;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** A person overrules a verdict with a written reason; both stay visible. Handbook § 6. */
final class OverruleTest extends TestCase
{
    use TemporaryFolder;

    private const REASON = 'the seller’s own bench read it back whole, the reader here was broken';

    private function sham(): Card
    {
        $card = $this->card(['stand_in' => 'wraps,size=32GB,true=8GB', 'lot' => 'L-1', 'footage' => 5_000_000_000]);
        $this->conduct($card, 'proof', 'Tray 3');

        return $card->refresh();
    }

    private function overrule(Card $card, string $verdict = 'Sound'): void
    {
        $this->post("/cards/{$card->tag}/overrule", ['verdict' => $verdict, 'reason' => self::REASON, 'by' => 'Wren'])
            ->assertSessionHasNoErrors()
            ->assertRedirect();
    }

    public function test_both_are_seen_wherever_a_verdict_is(): void
    {
        $card = $this->sham();
        $this->overrule($card);
        $card->refresh();
        self::assertSame([VerdictKind::Sham, VerdictKind::Sound], [$card->verdict, $card->overruled]);
        foreach (['intake', 'inspect', 'measure', 'prove', 'offload'] as $stage) {
            $this->get("/{$stage}/T-1")->assertInertia(
                fn (AssertableInertia $page): AssertableInertia => $page
                    ->where('margin.verdict', 'Sham')
                    ->where('margin.reasons.0.lead', 'Keeps 8 GB of the 32 GB on its label.')
                    ->where('margin.overrule.verdict', 'Sound')
                    ->where('margin.overrule.reason', self::REASON)
                    ->where('margin.overrule.by', 'Wren'),
            );
            self::assertSame(['Sham', 'Sound'], [$this->inTray('T-1')['verdict'], $this->inTray('T-1')['overruled']]);
        }
        $file = ResultFile::of($card);
        self::assertSame('Sham', ((array) $file['verdict'])['kind']);
        self::assertEquals(
            [['derived' => 'Sham', 'verdict' => 'Sound', 'reason' => self::REASON, 'by' => 'Wren', 'withdrawn' => null]],
            array_map(fn (mixed $one): array => array_diff_key((array) $one, ['on' => 1]), (array) $file['overrules']),
        );
        $json = (string) $this->get('/prove/T-1/result.json')->getContent();
        self::assertTrue(
            (new Validator())->validate(json_decode($json), (string) file_get_contents(base_path('docs/result.schema.json')))->isValid(),
        );
        file_put_contents($pdf = $this->folder().'/sheet.pdf', (string) $this->get('/prove/T-1/evidence.pdf')->getContent());
        $text = new Process(['pdftotext', '-layout', $pdf, '-']);
        $text->mustRun();
        self::assertStringContainsString('Overruled by Wren', $text->getOutput());
        self::assertStringContainsString('SHAM', $text->getOutput());
    }

    public function test_what_is_done_next_follows_the_person(): void
    {
        $card = $this->sham();
        self::assertSame(Step::SetAside, $card->next_step);
        $this->get('/intake')->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where('frame.stages.5.waiting', 0));
        self::assertSame('1 of 1', $this->inTray('T-1')['badLot']);
        $this->overrule($card);
        self::assertSame(Step::Offload, $card->refresh()->next_step);
        // It waits to be brought home now, and its lot is no longer bad.
        $this->get('/intake')->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where('frame.stages.5.waiting', 1));
        self::assertNull($this->inTray('T-1')['badLot']);
        $whole = $this->card(['tag' => 'T-2']);
        $this->overrule($whole, 'Shaky');
        self::assertSame(Step::SetAside, $whole->refresh()->next_step);
        $this->get('/measure/T-2')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('margin.next.href', null)
                ->where('margin.cautions.0.lead', 'Do not record on it.'),
        );
    }

    public function test_what_is_derived_goes_on_being_derived(): void
    {
        $card = $this->card();
        $this->overrule($card, 'Sham');
        $this->conduct($card->refresh(), 'proof', 'Tray 3');
        self::assertSame([VerdictKind::Sound, VerdictKind::Sham], [$card->refresh()->verdict, $card->overruled]);
        Artisan::call('tally:judge', ['--all' => true]);
        self::assertSame(
            [VerdictKind::Sound, VerdictKind::Sham, Step::SetAside],
            [$card->refresh()->verdict, $card->overruled, $card->next_step],
        );
    }

    public function test_it_is_taken_back_with_a_reason_and_stays_in_the_books(): void
    {
        $card = $this->sham();
        $this->overrule($card);
        $this->post("/cards/{$card->tag}/overrule/withdraw")->assertSessionHasErrors([
            'reason' => 'No reason was given. Say why the derived verdict stands again.',
        ]);
        $this->post("/cards/{$card->tag}/overrule/withdraw", ['reason' => 'it was another card'])->assertSessionHasNoErrors();
        self::assertSame([null, Step::SetAside], [$card->refresh()->overruled, $card->next_step]);
        self::assertSame(['it was another card'], Overrule::query()->pluck('withdrawn')->all());
        $this->get('/prove/T-1')->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where('margin.overrule', null));
        $this->post("/cards/{$card->tag}/overrule/withdraw", ['reason' => 'once more'])->assertSessionHasErrors([
            'reason' => 'Nobody overrules its verdict any more: the derived one stands. Load the page again.',
        ]);
        $this->assertDatabaseMissing('overrules', ['withdrawn' => 'once more']);
    }

    public function test_of_two_the_later_one_stands(): void
    {
        $card = $this->sham();
        $this->overrule($card);
        $this->overrule($card, 'Slow');
        self::assertSame(VerdictKind::Slow, $card->refresh()->overruled);
        self::assertSame(1, $card->overrules()->whereNull('withdrawn')->count());
        self::assertSame(2, $card->overrules()->count());
    }

    /** @return iterable<string, array{array<string, string>, string, string}> what is given, field, words */
    public static function incomplete(): iterable
    {
        yield 'no verdict' => [['verdict' => ''], 'verdict', 'No verdict was chosen.'];
        yield 'no such verdict' => [['verdict' => 'Fine'], 'verdict', '“Fine” is no verdict. One of these would do: Sham'];
        yield 'no reason' => [['reason' => ' '], 'reason', 'No reason was given. Say why the evidence is wrong'];
        yield 'too long a reason' => [['reason' => str_repeat('x', 301)], 'reason', 'longer than 300 characters'];
        yield 'nobody' => [['by' => ''], 'by', 'Nobody is named. Write who overrules it.'];
    }

    /** @param  array<string, string>  $given */
    #[DataProvider('incomplete')]
    public function test_a_reason_and_a_name_are_asked_for(array $given, string $field, string $words): void
    {
        $card = $this->card();
        $this->post("/cards/{$card->tag}/overrule", [
            'verdict' => 'Sound',
            'reason' => self::REASON,
            'by' => 'Wren',
            ...$given,
        ])->assertSessionHasErrors($field);
        $said = session('errors');
        self::assertInstanceOf(\Illuminate\Support\ViewErrorBag::class, $said);
        self::assertStringContainsString($words, $said->first($field));
        self::assertNull($card->refresh()->overruled);
        $this->assertDatabaseCount('overrules', 0);
    }
}
