<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Evidence\CardEvidence;
use App\Evidence\DueBook;
use App\Ledger\IncidentBook;
use App\Ledger\Retirement;
use App\Models\Cards\Card;
use App\Models\Kit\CameraMode;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Report\PurchaseBook;
use App\Report\ReportBook;
use App\Shoot\ShootBook;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Date;
use LogicException;
use Tally\Buying\Price;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Record\LongWrite;
use Tally\Record\RunKind;
use Tally\Record\SizeParameters;
use Tally\Record\SustainedRecord;
use Tally\Shoot\Whole\Count;
use Tally\Shoot\Whole\Packing;
use Tally\Shoot\Whole\Wanted;

/** A year of the survey: a card that fades, shoots, a reader that is suspected, cards that are due. All of it is invented. */
final class DemoYear extends Seeder
{
    private const WHO = 'Wren';

    public function run(): void
    {
        foreach (['QS-028' => 11, 'QS-022' => 14, 'QS-014' => 8, 'QS-015' => 8, 'QS-024' => 10, 'QS-027' => 10] as $tag => $months) {
            $then = Date::now()->subMonths($months);
            $this->card($tag)->forceFill(['bought_on' => $then->format('Y-m-d'), 'created_at' => $then->addDay()])->save();
        }
        // What it kept up, MB/s, so many months ago.
        foreach ([10 => 98.4, 9 => 97.6, 7 => 94.9, 5 => 91.2, 3 => 88.0, 1 => 85.3] as $months => $rate) {
            $this->sustained('QS-028', Date::now()->subMonths($months), $rate);
        }
        $this->earlier('QS-022', 13);
        $this->earlier('QS-014', 2);
        $this->shoot('Collier wreck, dive 1 to 3', Date::now()->subMonths(8), 3, [
            ['C1', '4K 60', '60 min', false],
            ['C3', 'survey 4K', '45 min', false],
        ]);
        $this->shoot('Sea wall, spring tide', Date::now()->subMonths(5), 2, [
            ['C1', '4K long-GOP', '50 min', false],
            ['C3', 'mapping stills', '600', false],
        ]);
        $this->shoot('Harbour piles, low water', Date::now()->subMonths(2), 2, [['C1', '4K 60', '45 min', false]]);
        $this->shoot('Bridge survey, winter', Date::now()->addDays(45), 1, [
            ['C1', '4K long-GOP', '40 min', true],
            ['C3', 'survey 4K', '90 min', true],
        ]);
        $months = fn (int $many): Carbon => Date::now()->subMonths($many);
        IncidentBook::log('QS-032 stuck in R3, came out with patience', self::WHO, $months(4));
        IncidentBook::log('QS-028 stuck in R3 on the cart', self::WHO, $months(1));
        IncidentBook::log('QS-022 card error in R3, fine in R1', 'Moss', Date::now()->subWeeks(2));
        IncidentBook::log('QS-024 too hot to hold after the whole card', 'Moss', $months(6));
        Card::query()->each(fn (Card $card) => DueBook::refresh($card));
        IncidentBook::log('QS-014 wet: the case had water in it', self::WHO, Date::now()->subHours(2));
        $eur = fn (int $minor): Price => Price::of($minor, 'EUR');
        PurchaseBook::enter('R1', $eur(8900), $eur(6000), 600, aMonth: 8, on: Date::now()->subMonths(2), by: self::WHO);
        PurchaseBook::enter('D1', $eur(2900), $eur(6000), 900, aMonth: 8, on: Date::now()->subMonths(3), by: self::WHO);
        ReportBook::begin(Date::now()->subMonths(3), Date::now(), self::WHO);
        Retirement::take($this->card('QS-040'), 'sold as new, worn contacts', self::WHO);
    }

    private function card(string $tag): Card
    {
        return Card::query()->where('tag', $tag)->firstOrFail();
    }

    /** A long write of a tenth of the card on the chain of its proof. */
    private function sustained(string $tag, Carbon $at, float $rate): void
    {
        $card = $this->card($tag);
        $proof = Run::query()->where('card_id', $card->id)->where('kind', RunKind::Proof)->latest('id')->firstOrFail();
        $bytes = Bytes::gigabytes(64);
        $course = LongWrite::pieces([[64e9, Rate::megabytesPerSecond($rate)]]);
        $run = $proof->replicate(['checkpoint', 'progress', 'result', 'carried', 'carried_over']);
        $run->forceFill([
            'kind' => RunKind::Sustained,
            'state' => RunState::Done,
            'parameters' => new SizeParameters($bytes),
            'result' => new SustainedRecord(new Passage($bytes, Span::seconds(64e3 / $rate)), $course),
            'started_at' => $at,
            'ended_at' => $at,
            'created_at' => $at,
            'recorded_by' => self::WHO,
        ])->save();
        CardEvidence::refresh($card);
    }

    /** Everything that was done to a card was done so long ago. */
    private function earlier(string $tag, int $months): void
    {
        foreach (Run::query()->where('card_id', $this->card($tag)->id)->get() as $run) {
            $run->forceFill(array_fill_keys(['created_at', 'started_at', 'ended_at'], Date::now()->subMonths($months)))->save();
        }
    }

    /** @param  list<array{string, string, string, bool}>  $wanted  camera, mode, how much a day, whether it has a spare */
    private function shoot(string $name, Carbon $begins, int $days, array $wanted): void
    {
        $asked = [];
        foreach ($wanted as [$camera, $mode, $daily, $hasSpare]) {
            $row = CameraMode::query()
                ->with(['camera.slots', 'calibrations'])
                ->where('name', $mode)
                ->whereRelation('camera', 'tag', $camera)
                ->firstOrFail();
            $body = ShootBook::camera($row) ?? throw new LogicException("{$camera} has no slots.");
            $asked[] = new Wanted($body, $body->modes[0], Count::of($body->modes[0])->read($daily), range(1, $days), hasSpare: $hasSpare);
        }
        $cards = Card::query()->whereIn('tag', ['QS-014', 'QS-015', 'QS-022', 'QS-028', 'QS-047'])->orderBy('tag')->get()->toBase();
        $packing = Packing::of(ShootBook::question($days, 1, 0.1, $asked, cards: $cards));
        ShootBook::keep($name, $begins, $packing, self::WHO);
    }
}
