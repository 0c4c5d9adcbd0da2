<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\CardEvidence;
use App\Evidence\DueBook;
use App\Evidence\Written;
use App\Ledger\CardLife;
use App\Ledger\Fading;
use App\Ledger\IncidentBook;
use App\Ledger\LifeEvent;
use App\Ledger\LifeFigures;
use App\Models\Cards\Card;
use App\Models\Kit\CameraMode;
use App\Models\Runs\Run;
use App\Shoot\ShootBook;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoModes;
use Database\Seeders\DemoRuns;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Date;
use Tally\Ledger\DueRules;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Record\LongWrite;
use Tally\Record\RunKind;
use Tally\Record\SizeParameters;
use Tally\Record\SustainedRecord;
use Tally\Shoot\Whole\Packing;
use Tally\Shoot\Whole\Wanted;
use Tests\TestCase;

/** What the books know of a card’s life: its figures on one chain, whether it fades, what was written, and its next shoot. */
final class LifeTest extends TestCase
{
    private Card $card;

    protected function setUp(): void
    {
        parent::setUp();
        $this->seed([DemoCards::class, DemoRuns::class, DemoModes::class]);
        $this->card = Card::query()->where('tag', 'QS-015')->firstOrFail();
    }

    /** A long write so many days ago, on the chain of its proof. */
    private function wrote(float $rate, int $daysAgo): void
    {
        $proof = Run::query()->where('card_id', $this->card->id)->where('kind', RunKind::Proof)->firstOrFail();
        $at = Date::now()->subDays($daysAgo);
        $proof->replicate(['checkpoint', 'progress', 'result', 'carried', 'carried_over'])
            ->forceFill([
                'kind' => RunKind::Sustained,
                'parameters' => new SizeParameters(Bytes::gigabytes(20)),
                'result' => new SustainedRecord(
                    new Passage(Bytes::gigabytes(20), Span::seconds(20e3 / $rate)),
                    LongWrite::pieces([[20e9, Rate::megabytesPerSecond($rate)]]),
                ),
                'ended_at' => $at,
                'created_at' => $at,
            ])
            ->save();
    }

    /** @phpstan-impure */
    private function fading(): ?Fading
    {
        return Fading::of($this->card, LifeFigures::of($this->card, CardEvidence::runs($this->card)));
    }

    public function test_figures_are_of_the_one_chain_that_has_most_of_them(): void
    {
        $figures = LifeFigures::of($this->card, CardEvidence::runs($this->card));
        self::assertSame('R2, USB 10 Gb/s, Cart tower port 2', $figures->chain);
        self::assertCount(1, $figures->writes);
        self::assertEqualsWithDelta(120.8, $figures->writes[0][1], 0.1);
        $bare = Card::query()->where('tag', 'QS-023')->firstOrFail();
        self::assertSame('', LifeFigures::of($bare, CardEvidence::runs($bare))->chain);
    }

    public function test_a_fall_is_told_with_the_floor_that_it_meets_next_and_noise_is_not(): void
    {
        self::assertNull($this->fading());
        foreach ([150 => 128.2, 120 => 127.1, 90 => 125.0, 60 => 123.9, 30 => 122.4] as $days => $rate) {
            $this->wrote($rate, $days);
        }
        $fading = $this->fading();
        self::assertNotNull($fading);
        self::assertTrue($fading->trend->isTold());
        self::assertStringStartsWith('loses 1.', $fading->words());
        // Of the modes that it goes into, 4K 120 with its margin asks most: 93.75 MB/s.
        self::assertSame('C1 4K 120', $fading->floor[0] ?? null);
        self::assertEqualsWithDelta(93.75, $fading->floor[1], 1e-9);
        self::assertNotNull($fading->meets);
        self::assertTrue($fading->meets[0]->isFuture());
        self::assertTrue($fading->meets[1] !== null && $fading->meets[1]->lessThan($fading->meets[0]));
        $this->get('/ledger/QS-015')->assertSee('Fades: loses 1.', false)->assertSee('what C1 4K 120 asks with its margin');
        // A run that does not count is none of its figures.
        $newest = Run::query()->where('kind', RunKind::Sustained)->where('card_id', $this->card->id)->latest('id')->firstOrFail();
        $this->post("/runs/{$newest->id}/void", ['reason' => 'hot', 'by' => 'Wren'])->assertSessionHasNoErrors();
        self::assertSame(5, $this->fading()?->trend->count);
    }

    public function test_everything_that_happened_stands_in_its_life_in_order(): void
    {
        IncidentBook::log('QS-015 hot in C1', 'Moss', Date::now()->subDays(3));
        $this->post('/cards/QS-015/footage', ['footage' => '20 GB', 'by' => 'Wren'])->assertSessionHasNoErrors();
        $this->post('/cards/QS-015/clear', ['why' => 'on D1 and D2', 'by' => 'Wren'])->assertSessionHasNoErrors();
        $this->post('/cards/QS-015/overrule', ['verdict' => 'Shaky', 'reason' => 'slips out', 'by' => 'Wren'])->assertSessionHasNoErrors();
        $events = CardLife::of($this->card->refresh(), CardEvidence::runs($this->card));
        $at = array_map(fn (LifeEvent $one): int => $one->at->getTimestamp(), $events);
        $sorted = $at;
        sort($sorted);
        self::assertSame($sorted, $at);
        $said = array_map(fn (LifeEvent $one): string => "{$one->kind}: {$one->words}", $events);
        foreach (
            [
                'bought: bought',
                'proof: proven whole',
                'test: timed copy',
                'trouble: hot in C1',
                'offload: with footage',
                'cleared: cleared',
                'said: overruled: Shaky',
            ] as $words
        ) {
            self::assertContains($words, $said);
        }
    }

    public function test_what_was_written_adds_up_from_a_day_on(): void
    {
        $runs = CardEvidence::runs($this->card);
        $before = Written::on($this->card, $runs)->since();
        Date::setTestNow(Date::now()->addDay());
        $this->post('/cards/QS-015/footage', ['footage' => '20 GB', 'by' => 'Wren'])->assertSessionHasNoErrors();
        $written = Written::on($this->card, CardEvidence::runs($this->card));
        self::assertSame($before->count + 20_000_000_000, $written->since()->count);
        self::assertSame(20_000_000_000, $written->since(Carbon::now()->subHour())->count);
        self::assertNull($written->reached(Bytes::gigabytes(30), Carbon::now()->subHour()));
        $reached = $written->reached(Bytes::gigabytes(20), Carbon::now()->subHour());
        self::assertEquals(Carbon::now()->startOfSecond(), $reached?->startOfSecond());
    }

    public function test_a_shoot_that_comes_makes_an_old_proof_due_before_it(): void
    {
        Run::query()->where('card_id', $this->card->id)->update(['ended_at' => now()->subMonths(4), 'created_at' => now()->subMonths(4)]);
        $mode = CameraMode::query()->with(['camera.slots', 'calibrations'])->where('name', '4K long-GOP')->sole();
        $camera = ShootBook::camera($mode);
        self::assertNotNull($camera);
        $wanted = [new Wanted($camera, $camera->modes[0], 1800, [1])];
        $cards = Card::query()->whereKey($this->card->id)->get()->toBase();
        $packing = Packing::of(ShootBook::question(1, 1, 0.0, $wanted, cards: $cards));
        $shoot = ShootBook::keep('low water', now()->addDays(10), $packing, 'Wren');
        $this->card->refresh();
        self::assertTrue($this->card->isDue());
        self::assertStringContainsString('goes along on low water', $this->card->due_why ?? '');
        self::assertSame('QS-015', $packing->places[0]->cards[0]->tag);
        $this->delete("/fit/shoots/{$shoot->id}");
        $this->card->refresh();
        self::assertStringNotContainsString('low water', $this->card->due_why ?? '');
        $due = DueBook::of($this->card, new DueRules(measureMonths: 3), CardEvidence::runs($this->card));
        self::assertStringContainsString('again after 3 months', $due[0]->why);
    }
}
