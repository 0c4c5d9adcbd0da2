<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\Retirement;
use App\Ledger\SpareBook;
use App\Ledger\SpareProps;
use App\Models\Cards\Card;
use App\Models\Kit\CameraMode;
use App\Models\Shoot\Shoot;
use App\Shoot\ShootBook;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoModes;
use Database\Seeders\DemoRuns;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Date;
use Inertia\Testing\AssertableInertia;
use Tally\Shoot\Whole\Packing;
use Tally\Shoot\Whole\Wanted;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/** What records without a pause has a spare. */
final class SparesTest extends TestCase
{
    /** @param  list<string>  $tags  cards that are chosen among */
    private function shoot(Carbon $begins, int $days, array $tags): Shoot
    {
        $mode = CameraMode::query()
            ->with(['camera.slots', 'calibrations'])
            ->where('name', '4K long-GOP')
            ->whereRelation('camera', 'tag', 'C1')
            ->firstOrFail();
        $camera = ShootBook::camera($mode);
        self::assertNotNull($camera);
        $wanted = new Wanted($camera, $camera->modes[0], 1200, range(1, $days), hasSpare: true);
        $cards = Card::query()->whereIn('tag', $tags)->orderBy('tag')->get()->toBase();

        return ShootBook::keep(
            "Survey from {$begins->format('j M')}",
            $begins,
            Packing::of(ShootBook::question($days, 1, 0.1, [$wanted], cards: $cards)),
            'Wren',
        );
    }

    public function test_a_shoot_that_is_ahead_tells_its_spares_and_one_that_is_over_does_not(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class, DemoModes::class]);
        $this->shoot(Date::now()->subDays(10), 3, ['QS-014', 'QS-015', 'QS-022', 'QS-028']);
        self::assertCount(0, SpareBook::ahead());

        // It began before today and ends tomorrow.
        $now = $this->shoot(Date::now()->subDay(), 3, ['QS-014', 'QS-015', 'QS-022', 'QS-028']);
        $spares = SpareBook::ahead();
        self::assertArrayHasKey(0, $spares);
        self::assertArrayNotHasKey(1, $spares);
        self::assertSame([$now->id, 'C1 4K long-GOP', ''], [$spares[0]->shoot, $spares[0]->what, $spares[0]->trouble]);
        self::assertContains($spares[0]->card, ['QS-014', 'QS-015', 'QS-022', 'QS-028']);
        $this->get('/ledger/buy')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('spares.0.card', $spares[0]->card),
        );
    }

    public function test_a_spare_that_is_missing_retired_or_struck_out_is_named_first(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class, DemoModes::class]);
        $good = $this->shoot(Date::now()->addDays(3), 1, ['QS-014', 'QS-015', 'QS-022', 'QS-028']);
        $bare = $this->shoot(Date::now()->addDays(9), 1, ['QS-022']);
        $spares = SpareBook::ahead();
        self::assertSame([$bare->id, $good->id], array_map(fn (SpareProps $one): int => $one->shoot, $spares));
        self::assertSame(['', 'it has none'], [$spares[0]->card, $spares[0]->trouble]);

        $card = Card::query()->where('tag', $spares[1]->card)->firstOrFail();
        $card->forceFill(['overruled' => VerdictKind::Shaky])->save();
        $isGood = fn (SpareProps $one): bool => $one->shoot === $good->id;
        $trouble = fn (): string => collect(SpareBook::ahead())->firstOrFail($isGood)->trouble;
        self::assertSame('struck out since then', $trouble());
        $card->forceFill(['overruled' => null, 'footage' => 0])->save();
        Retirement::take($card, 'bent', 'Wren');
        self::assertSame('retired since then', $trouble());
    }
}
