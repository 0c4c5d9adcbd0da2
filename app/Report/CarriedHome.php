<?php

declare(strict_types=1);

namespace App\Report;

use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\OffloadState;
use App\Models\Offload\SavedPlan;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Tally\Offload\Decision;
use Tally\Offload\PlacedCard;
use Tally\Offload\Plan;
use Tally\Offload\Question\LadenCard;
use Tally\Quantity\Bytes;

/** Cards that were brought home by a plan: carried by this program, or by hands that told when they were done. */
final readonly class CarriedHome
{
    /** @param  float  $took  seconds that it really took */
    private function __construct(
        public string $name,
        public Carbon $on,
        public Plan $plan,
        public float $took,
        public int $bytes,
        public bool $isMadeUp,
    ) {}

    /** @return list<string> by which they are found again: those that are over */
    public static function since(Carbon $from, ?Carbon $to = null): array
    {
        $until = $to?->copy()->endOfDay() ?? now();
        $offloads = Offload::query()
            ->where('state', OffloadState::Ended)
            ->whereBetween('began_at', [$from->copy()->startOfDay(), $until])
            ->orderBy('id')
            ->pluck('id');
        $plans = SavedPlan::query()
            ->whereNotNull('done_at')
            ->whereBetween('begun_at', [$from->copy()->startOfDay(), $until])
            ->orderBy('id')
            ->get();

        return [
            ...array_values($offloads->map(fn (mixed $id): string => 'offload '.(is_int($id) ? $id : 0))->all()),
            ...array_values(
                $plans
                    ->reject(self::wasCarriedOut(...))
                    ->map(fn (SavedPlan $plan): string => "plan {$plan->id}")
                    ->all(),
            ),
        ];
    }

    /** An evening counts once: what this program carried out itself is told by that, and not by its plan too. */
    private static function wasCarriedOut(SavedPlan $plan): bool
    {
        $tags = array_map(fn (LadenCard $card): string => $card->tag, $plan->plan()->question->cards);

        return Offload::query()
            ->where('began_at', '<=', $plan->done_at)
            ->where(fn ($some) => $some->whereNull('ended_at')->orWhere('ended_at', '>=', $plan->begun_at))
            ->whereHas('cards.card', fn ($cards) => $cards->whereIn('tag', $tags))
            ->exists();
    }

    /** @return self|null null where it was taken out of the books in between */
    public static function find(string $key): ?self
    {
        [$kind, $id] = explode(' ', $key, 2);

        return $kind === 'offload' ? self::ofOffload(Offload::query()->find((int) $id)) : self::ofPlan(SavedPlan::query()->find((int) $id));
    }

    private static function ofOffload(?Offload $offload): ?self
    {
        if ($offload?->ended_at === null) {
            return null;
        }
        $home = $offload
            ->cards()
            ->with(['copies', 'card'])
            ->get()
            ->filter(fn (OffloadCard $card): bool => self::bytes($card) > 0 && ! self::cameHomeBefore($card));

        return $home->isEmpty()
            ? null
            : new self(
                $offload->name,
                $offload->began_at,
                self::asItWas($offload->plan(), $home),
                $offload->seconds($offload->ended_at),
                bytes: array_sum($home->map(self::bytes(...))->all()),
                isMadeUp: $offload->is_made_up,
            );
    }

    /** What was copied of it and read back, on the drive that has most. */
    private static function bytes(OffloadCard $card): int
    {
        return max([0, ...$card->copies->map(fn (OffloadCopy $copy): int => $copy->verified)->all()]);
    }

    /** The same footage, by its record, of an evening that was begun anew. */
    private static function cameHomeBefore(OffloadCard $card): bool
    {
        return $card->footage_act_id !== null &&
            OffloadCard::query()
                ->where('footage_act_id', $card->footage_act_id)
                ->where('id', '<', $card->id)
                ->whereHas('copies', fn ($copies) => $copies->where('verified', '>', 0))
                ->exists();
    }

    /** @param  Collection<int, OffloadCard>  $home  the cards that came home, with what was really on them */
    private static function asItWas(Plan $plan, Collection $home): Plan
    {
        $real = $home->keyBy(fn (OffloadCard $card): string => $card->card->tag);
        $cards = [];
        foreach ($plan->question->cards as $card) {
            $was = $real->get($card->tag);
            if ($was !== null) {
                $cards[] = new LadenCard(
                    $card->tag,
                    (float) self::bytes($was),
                    $was->files,
                    $card->read,
                    buses: $card->buses,
                    readIn: $card->readIn,
                );
            }
        }
        $placed = array_filter($plan->decision->cards, fn (PlacedCard $card): bool => $real->has($card->tag));

        return Plan::decided(
            $plan->question->withCards($cards),
            $plan->goal,
            new Decision($plan->decision->links, array_values($placed)),
            0.0,
        );
    }

    private static function ofPlan(?SavedPlan $saved): ?self
    {
        if ($saved?->begun_at === null || $saved->done_at === null) {
            return null;
        }
        $plan = $saved->plan();
        $bytes = array_sum(array_map(fn ($card): float => $card->bytes, $plan->question->cards));

        return new self(
            $saved->name,
            $saved->begun_at,
            $plan,
            $saved->begun_at->diffInSeconds($saved->done_at),
            bytes: (int) $bytes,
            isMadeUp: false,
        );
    }

    /** `1.44 TB` */
    public function size(): string
    {
        return Bytes::of($this->bytes)->decimal();
    }
}
