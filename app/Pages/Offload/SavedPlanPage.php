<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use App\Models\Offload\SavedPlan;
use App\Models\When;
use App\Offload\PlanBook;
use App\Offload\ShownPlan;
use App\Pages\Page;
use Illuminate\Support\Carbon;
use Tally\Offload\Basis\HowSure;
use Tally\Offload\Basis\KnownRate;
use Tally\Quantity\Span;

/**
 * A plan that was kept: as it was, with the rates of now, and as it went.
 *
 * @phpstan-import-type MountedProps from PlanPage
 * @phpstan-import-type RestsOnProps from PlanRests
 * @phpstan-import-type ShownPlanProps from PlanPage
 *
 * @phpstan-type ChangedRateProps array{ // A rate that is another by now than when a plan was made, both with their unit.
 *     name: string,
 *     then: string,
 *     now: string,
 *     how: string,
 * }
 * @phpstan-type OutcomeProps array{ // What came of a plan.
 *     begun: string, // as `2026-11-27 21:58`; empty while nobody has said
 *     free: string, // the same
 *     done: string, // the same
 *     note: string,
 *     took: float|null, // seconds until all was safe
 *     words: string|null, // how that stands to the plan, in a sentence
 * }
 */
final readonly class SavedPlanPage extends Page
{
    private const INPUT = 'Y-m-d H:i';

    /** Nearer than this it came as planned. */
    private const AS_PLANNED = 0.03;

    /**
     * @param  string  $made  when and by whom
     * @param  RangeProps  $range  of done, with the rates of its day
     * @param  float  $today  when it would be done with the rates that are known by now
     * @param  list<ChangedRateProps>  $changed  rates that are others by now
     * @param  list<RestsOnProps>  $rests
     * @param  string  $planKey  by which this very plan is begun
     * @param  bool  $isMadeUp  whether every card of it is
     * @param  list<MountedProps>  $places  where slots and drives were last
     * @param  list<string>  $patterns  by which folders were called lately
     * @param  ShownPlanProps|null  $before  itself, where something has changed since it was made and somebody has to choose
     * @param  OutcomeProps  $outcome
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $made,
        public string $goal,
        public PlanPictureProps $plan,
        public RangeProps $range,
        public float $today,
        public array $changed,
        public array $rests,
        public array $outcome,
        public string $planKey,
        public string $person,
        public bool $isMadeUp,
        public string $day,
        public array $places,
        public array $patterns,
        public ?array $before,
    ) {}

    public static function of(SavedPlan $saved, ?string $person): self
    {
        $plan = $saved->plan();
        $rates = $saved->rates;
        $sure = HowSure::of($plan, $rates);
        $changed = PlanBook::changed($saved, $plan);

        return new self(
            id: $saved->id,
            name: $saved->name,
            made: "made {$saved->created_at->format(When::MOMENT)} by {$saved->recorded_by}",
            goal: $saved->goal->words(),
            plan: PlanPicture::of($plan),
            range: PlanBeside::range($sure->done),
            today: PlanBook::today($plan, $changed)->course->done,
            changed: array_map(
                fn (array $pair): array => self::changed(...$pair),
                $changed,
            ),
            rests: PlanRests::of($plan, $rates),
            outcome: self::outcome($saved, $sure),
            planKey: ShownPlan::kept($saved),
            person: $person ?? '',
            isMadeUp: PlanPage::isMadeUp($plan),
            day: now()->format(When::ISO_DAY),
            places: PlanPage::places(),
            patterns: PlanPage::patterns(),
            before: PlanPage::before(),
        );
    }

    /** @return ChangedRateProps */
    private static function changed(KnownRate $then, KnownRate $now): array
    {
        return [
            'name' => $then->name(),
            'then' => PlanRests::print($then->of, $then->rate),
            'now' => PlanRests::print($now->of, $now->rate),
            'how' => "{$now->origin->words()}: {$now->how}",
        ];
    }

    /** @return OutcomeProps */
    private static function outcome(SavedPlan $saved, HowSure $sure): array
    {
        $input = fn (?Carbon $time): string => $time === null ? '' : $time->format(self::INPUT);
        $took = $saved->took();

        return [
            'begun' => $input($saved->begun_at),
            'free' => $input($saved->free_at),
            'done' => $input($saved->done_at),
            'note' => $saved->note ?? '',
            'took' => $took,
            'words' => $took === null ? null : self::words($saved->done, $took, $sure),
        ];
    }

    private static function words(float $planned, float $took, HowSure $sure): string
    {
        $off = Span::seconds(abs($took - $planned))->print();
        [$early, , $late] = $sure->done;

        return match (true) {
            abs($took / max(1e-9, $planned) - 1) <= self::AS_PLANNED => 'It came as planned.',
            $took > $late => "{$off} later than planned, and later than nine of ten such plans: look for what held it up.",
            $took > $planned => "{$off} later than planned, within what its rates allow.",
            $took < $early => "{$off} sooner than planned, and sooner than nine of ten such plans: were all copies read back?",
            default => "{$off} sooner than planned, within what its rates allow.",
        };
    }
}
