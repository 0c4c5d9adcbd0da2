<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Cards\Card;
use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadPlaces;
use App\Models\Offload\OffloadState;
use App\Models\Stations\Station;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tally\Device\Place;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Basis\RateOf;
use Tally\Offload\PlacedCard;
use Tally\Offload\Plan;
use Tally\Offload\PlanFile;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Question;
use Tally\Offload\Reckon\Course;
use Tally\Offload\Reckon\FlowKind;

/** Begins to carry a plan out: a row for each card, and for each copy of it, with what was planned. */
final readonly class OffloadStart
{
    /** Made up, the busiest reader gives so much of what the plan reckons with: real evenings are never quite as planned. */
    private const REALLY = 0.72;

    /**
     * @param  list<KnownRate>  $rates  that it rests on
     * @param  array<string, string>  $folders  tag → folder on each drive
     * @param  array{slots: array<string, string>, drives: array<string, string>}|null  $places  slot or drive → folder of this
     *                                                                                            machine; null: all of it is made up
     * @param  float  $pace  seconds of made-up time in one of ours
     * @param  bool  $hasFault  made up, whether one drive gives back something else than was written
     * @param  string|null  $pattern  by which the folders are called
     */
    public static function of(
        Plan $plan,
        array $rates,
        Station $station,
        string $name,
        array $folders,
        ?array $places,
        float $pace,
        string $by,
        bool $hasFault = false,
        ?string $pattern = null,
    ): Offload {
        $begin = function () use ($plan, $rates, $station, $name, $folders, $places, $pace, $by, $hasFault, $pattern): Offload {
            self::mustBeAtHome($plan);
            $offload = Offload::query()->create([
                'station_id' => $station->id,
                'name' => $name,
                'goal' => $plan->goal,
                'question' => PlanFile::write($plan->question, $plan->goal),
                'decision' => $plan->decision,
                'rates' => $rates,
                'planned' => $plan->course->done,
                'places' => $places === null
                    ? new OffloadPlaces()
                    : new OffloadPlaces($places['slots'], $places['drives'], array_map(Place::of(...), $places['drives'])),
                'is_made_up' => $places === null,
                'pace' => $places === null ? $pace : 1.0,
                'truth' => $places === null ? [...self::truth($plan), ...$hasFault ? MadeUpFault::in($plan) : []] : [],
                'state' => OffloadState::Going,
                'by' => $by,
                'began_at' => now(),
                'pattern' => $pattern,
            ]);
            self::cards($offload, $plan, $folders);

            return $offload;
        };

        return DB::transaction($begin);
    }

    /**
     * A card is in one offload at a time: they are locked, so that of two that begin at once the second one sees the first.
     *
     * @throws ValidationException where one of them comes home already
     */
    private static function mustBeAtHome(Plan $plan): void
    {
        $tags = array_map(fn (PlacedCard $card): string => $card->tag, $plan->decision->cards);
        Card::query()->whereIn('tag', $tags)->orderBy('id')->lockForUpdate()->get();
        $going = Offload::query()
            ->where('state', '!=', OffloadState::Ended)
            ->whereHas('cards.card', fn ($cards) => $cards->whereIn('tag', $tags))
            ->lockForUpdate()
            ->first();
        if ($going !== null) {
            throw ValidationException::withMessages([
                'name' => "Some of these cards are coming home already, in “{$going->name}”. End that first, or untick them.",
            ]);
        }
    }

    /** @param  array<string, string>  $folders */
    private static function cards(Offload $offload, Plan $plan, array $folders): void
    {
        $ids = Card::query()
            ->whereIn('tag', array_map(fn ($card): string => $card->tag, $plan->question->cards))
            ->pluck('id', 'tag');
        foreach ($plan->decision->cards as $at => $placed) {
            $laden = $plan->question->cards[$plan->course->placements[$at]->card];
            $card = $offload->cards()->create([
                'card_id' => $ids[$placed->tag],
                'place' => $at,
                'slot' => $placed->slot,
                'turn' => $placed->order,
                'scheme' => $placed->scheme,
                'drives' => $placed->drives,
                'folder' => $folders[$placed->tag] ?? $placed->tag,
                'bytes' => (int) $laden->bytes,
                'files' => $laden->files,
                'planned_in' => $plan->course->in[$at] ?? 0.0,
                'planned_free' => $plan->course->free[$at] ?? 0.0,
                'planned_clear' => $plan->course->clear[$at] ?? null,
            ]);
            foreach ($placed->drives as $nth => $drive) {
                $card->copies()->create([
                    'nth' => $nth + 1,
                    'drive' => $drive,
                    'state' => CopyState::Waiting,
                    'planned' => self::windows($plan->course, $plan->question, $at, $drive),
                ]);
            }
        }
    }

    /** @return array{copy: array{float, float}, back: array{float, float}|null} when a copy is to be made and read back; seconds */
    public static function windows(Course $course, Question $question, int $at, string $drive): array
    {
        $number = array_search($drive, array_map(fn (Drive $one): string => $one->name, $question->drives), true);
        $copy = [0.0, 0.0];
        $back = null;
        foreach ($course->stretches as $stretch) {
            if ($stretch->placement !== $at || $stretch->kind === null) {
                continue;
            }
            if ($stretch->kind === FlowKind::ReadBack) {
                $back = $stretch->reads === $number ? [$stretch->since, $stretch->until] : $back;
            } elseif (in_array($number, $stretch->writes, true)) {
                $copy = [$stretch->since, $stretch->until];
            }
        }

        return ['copy' => $copy, 'back' => $back];
    }

    /** @return array<string, float> key of a rate → so many times what was reckoned with */
    private static function truth(Plan $plan): array
    {
        $carried = $first = $last = [];
        foreach ($plan->course->stretches as $stretch) {
            if ($stretch->kind === FlowKind::Copy) {
                [$reader] = $plan->course->network->slots[$plan->course->placements[$stretch->placement]->slot];
                $carried[$reader] = ($carried[$reader] ?? 0.0) + $stretch->bytes;
                $first[$reader] = min($first[$reader] ?? INF, $stretch->since);
                $last[$reader] = max($last[$reader] ?? 0.0, $stretch->until);
            }
        }
        arsort($carried);
        $busiest = array_key_first($carried);
        $reader = $busiest === null ? null : $plan->question->readers[$busiest];
        $time = $busiest === null ? 0.0 : $last[$busiest] - $first[$busiest];
        if ($reader === null || $time <= 0 || $reader->uplink === INF) {
            return [];
        }

        return [KnownRate::keyOf(RateOf::Uplink, $reader->name) => (self::REALLY * $carried[$busiest]) / $time / $reader->uplink];
    }
}
