<?php

declare(strict_types=1);

namespace App\Report;

use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadState;
use App\Models\Offload\SavedPlan;
use Illuminate\Support\Carbon;
use Tally\Offload\Plan;
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
            ->pluck('id');

        return [
            ...array_values($offloads->map(fn (mixed $id): string => 'offload '.(is_int($id) ? $id : 0))->all()),
            ...array_values($plans->map(fn (mixed $id): string => 'plan '.(is_int($id) ? $id : 0))->all()),
        ];
    }

    /** @return self|null null where it was taken out of the books in between */
    public static function find(string $key): ?self
    {
        [$kind, $id] = explode(' ', $key, 2);

        return $kind === 'offload' ? self::ofOffload(Offload::query()->find((int) $id)) : self::ofPlan(SavedPlan::query()->find((int) $id));
    }

    private static function ofOffload(?Offload $offload): ?self
    {
        return $offload?->ended_at === null
            ? null
            : new self(
                $offload->name,
                $offload->began_at,
                $offload->plan(),
                $offload->seconds($offload->ended_at),
                array_sum($offload->cards->map(fn (OffloadCard $card): int => $card->bytes)->all()),
                $offload->is_made_up,
            );
    }

    private static function ofPlan(?SavedPlan $saved): ?self
    {
        if ($saved?->begun_at === null || $saved->done_at === null) {
            return null;
        }
        $plan = $saved->plan();
        $bytes = array_sum(array_map(fn ($card): float => $card->bytes, $plan->question->cards));

        return new self($saved->name, $saved->begun_at, $plan, $saved->begun_at->diffInSeconds($saved->done_at), (int) $bytes, false);
    }

    /** `1.44 TB` */
    public function size(): string
    {
        return Bytes::of($this->bytes)->decimal();
    }
}
