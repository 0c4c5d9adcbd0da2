<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\Cards\Card;
use App\Models\Cards\FootageAct;
use App\Models\Cards\Inspection;
use App\Models\Cards\Overrule;
use App\Models\Ledger\CardIncident;
use App\Models\Offload\OffloadCard;
use App\Models\Runs\Run;
use App\Models\Runs\RunVoid;
use App\Models\Shoot\BodyTrial;
use App\Models\Shoot\ShootCard;
use App\Models\Shoot\StoppedRecording;
use App\Models\When;
use Illuminate\Support\Collection;
use Tally\Quantity\Bytes;
use Tally\Reading\Thresholds;

/** Everything that the books know of what happened to a card, as one list. */
final readonly class CardLife
{
    /**
     * @param  Collection<int, Run>  $runs  of the card
     * @return list<LifeEvent> the earliest first
     */
    public static function of(Card $card, Collection $runs): array
    {
        $events = [
            ...self::bought($card),
            ...self::tested($card, $runs),
            ...self::used($card),
            ...self::said($card, $runs),
            ...self::trouble($card),
        ];
        usort($events, fn (LifeEvent $a, LifeEvent $b): int => $a->at <=> $b->at);

        return $events;
    }

    /** @return list<LifeEvent> */
    private static function bought(Card $card): array
    {
        $from = implode(', ', array_filter([$card->seller, $card->origin()->price?->print()], fn (?string $word): bool => $word !== null));
        $entered = $card->created_at === null
            ? []
            : [new LifeEvent($card->created_at, 'bought', 'entered', $card->recorded_by === null ? '' : "by {$card->recorded_by}")];
        $retired = $card->retired_on === null
            ? []
            : [new LifeEvent($card->retired_on, 'trouble', 'out of service', "{$card->retired_why}, {$card->retired_by}")];

        return [
            ...$card->bought_on === null ? [] : [new LifeEvent($card->bought_on, 'bought', 'bought', $from)],
            ...$entered,
            ...$retired,
        ];
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<LifeEvent>
     */
    private static function tested(Card $card, Collection $runs): array
    {
        $events = [];
        foreach ($runs as $run) {
            if ($run->result !== null) {
                $proof = $run->proof();
                // A folder, or a medium that shows less than its label, is not the card.
                $isWhole = $proof?->isProvenWhole() === true && $proof->holds()->count >= Thresholds::FULL * $card->capacity->count;
                $events[] = new LifeEvent(
                    $run->ended_at ?? $run->created_at,
                    $run->kind->isProof() ? 'proof' : 'test',
                    $isWhole ? 'proven whole' : $run->kind->label(),
                    implode('; ', [
                        ...$isWhole || $proof === null || $proof->screen !== null ? [] : [$proof->came()],
                        $run->chain->describe(),
                        ...$run->counts() ? [] : ['does not count'],
                    ]),
                    href: "/runs/{$run->id}",
                );
            }
        }
        $looked = Inspection::query()->where('card_id', $card->id)->whereNull('withdrawn')->orderBy('id')->get();
        foreach ($looked->groupBy(fn (Inspection $one): string => $one->created_at->format(When::ISO_DAY)) as $answers) {
            $first = $answers->firstOrFail();
            $events[] = new LifeEvent(
                $first->created_at,
                'test',
                'inspected',
                "{$answers->count()} answers, by {$first->seen_by}",
                href: "/inspect/{$card->tag}",
            );
        }

        return $events;
    }

    /** @return list<LifeEvent> */
    private static function used(Card $card): array
    {
        $events = [];
        foreach (ShootCard::query()->with('shoot')->where('card_id', $card->id)->get() as $one) {
            $shoot = $one->shoot;
            if ($shoot->begins->isFuture()) {
                continue;
            }
            $days = $shoot->days === 1 ? '1 day' : "{$shoot->days} days";
            $events[] = new LifeEvent($shoot->begins, 'shoot', $shoot->name, "{$days}, {$one->at}", href: "/fit/shoots/{$shoot->id}");
        }
        $offloads = OffloadCard::query()->with('offload')->where('card_id', $card->id)->whereNotNull('in_at')->get();
        foreach ($offloads as $one) {
            $events[] = new LifeEvent(
                $one->in_at ?? $one->offload->began_at,
                'offload',
                'offloaded',
                $one->offload->name.', '.Bytes::of($one->bytes)->decimal(),
                href: "/offloads/{$one->offload_id}",
            );
        }
        foreach (FootageAct::query()->where('card_id', $card->id)->orderBy('id')->get() as $act) {
            $events[] = $act->bytes === 0
                ? new LifeEvent($act->created_at, 'cleared', 'cleared', "by {$act->recorded_by}: {$act->note}")
                : new LifeEvent($act->created_at, 'offload', 'with footage', Bytes::of($act->bytes)->decimal().", by {$act->recorded_by}");
        }

        return $events;
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<LifeEvent>
     */
    private static function said(Card $card, Collection $runs): array
    {
        $events = [];
        $voids = RunVoid::query()->whereIn('run_id', $runs->map(fn (Run $run): int => $run->id)->all())->get();
        foreach ($voids as $void) {
            $words = "run {$void->run_id} ".($void->withdrawn === null ? 'taken out' : 'taken out, and back');
            $events[] = new LifeEvent(
                $void->created_at,
                'said',
                $words,
                "{$void->reason}, {$void->recorded_by}",
                href: "/runs/{$void->run_id}",
            );
        }
        foreach (Overrule::query()->where('card_id', $card->id)->get() as $one) {
            $events[] = new LifeEvent(
                $one->created_at,
                'said',
                "overruled: {$one->verdict->value}".($one->withdrawn === null ? '' : ', and withdrawn'),
                "{$one->reason}, {$one->recorded_by}",
                href: "/prove/{$card->tag}",
            );
        }

        return $events;
    }

    /** @return list<LifeEvent> */
    private static function trouble(Card $card): array
    {
        $events = [];
        foreach (CardIncident::query()->with(['reader', 'camera'])->where('card_id', $card->id)->get() as $one) {
            $events[] = new LifeEvent($one->happened_at, 'trouble', $one->words(), "{$one->note}, {$one->recorded_by}");
        }
        foreach (StoppedRecording::query()->with('camera')->where('card_id', $card->id)->get() as $stop) {
            $kind = $stop->cause->isTheCards() ? 'trouble' : 'shoot';
            $words = "stopped in {$stop->camera->tag}: {$stop->cause->label()}";
            $events[] = new LifeEvent($stop->logged_at, $kind, $words, "by {$stop->by}", href: "/fit/{$card->tag}");
        }
        foreach (BodyTrial::query()->with('camera')->where('card_id', $card->id)->get() as $trial) {
            $words = "{$trial->answer->label()} in {$trial->camera->tag}";
            $events[] = new LifeEvent($trial->tried_at, 'test', $words, "by {$trial->by}", href: "/fit/{$card->tag}");
        }

        return $events;
    }
}
