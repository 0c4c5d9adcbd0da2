<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\CopyStanding;
use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tally\Offload\Basis\Drawn;
use Tally\Offload\Reckon\Course;
use Tally\Offload\Reckon\EventKind;
use Tally\Offload\Reckon\FlowKind;
use Tally\Offload\Reckon\Going;
use Tally\Offload\Reckon\Reckoner;
use Tally\Offload\Reckon\SoFar;
use Tally\Offload\Reckon\Stretch;

/**
 * Made-up cards and drives, in their own time: what they have done by now follows from when which card was put in, and from what
 * their links really give. So it can be worked out at any moment, by whoever asks, and a worker that dies loses nothing.
 */
final readonly class SimulatedPlay
{
    /** All that has happened until now is written down. */
    public static function catchUp(Offload $offload): void
    {
        if (! $offload->is_made_up || $offload->isOver()) {
            return;
        }
        DB::transaction(function () use ($offload): void {
            $locked = Offload::query()->whereKey($offload->id)->lockForUpdate()->firstOrFail();
            if (! $locked->isOver()) {
                self::write($locked, now());
            }
        });
        $offload->refresh();
    }

    private static function write(Offload $offload, Carbon $now): void
    {
        $cards = $offload->cards()->with(['copies', 'card'])->get();
        $plan = $offload->plan();
        $question = Drawn::question($plan->question, $offload->truth);
        $network = $plan->decision->network($question);
        $in = [];
        foreach ($cards as $card) {
            if ($card->in_at !== null) {
                $in[$card->place] = $offload->seconds($card->in_at);
            }
        }
        $seconds = $offload->seconds($now);
        $course = Reckoner::onFrom($network, $plan->decision->placements($network), new SoFar($in, $seconds));
        $drives = array_map(fn ($drive): string => $drive->name, $question->drives);
        foreach ($cards as $card) {
            foreach ($card->in_at === null ? [] : $card->copies as $copy) {
                self::copy($offload, $copy, $course, (int) array_search($card->drives[$copy->nth - 1] ?? '', $drives, true), now: $seconds);
            }
            self::card($offload, $card, $course, $seconds);
        }
        Ending::ofOffload($offload, $cards, $now);
    }

    private static function copy(Offload $offload, OffloadCopy $copy, Course $course, int $drive, float $now): void
    {
        if ($copy->state === CopyState::Verified || $copy->state === CopyState::Failed) {
            return;
        }
        $card = $copy->offloadCard;
        $is = fn (Stretch|Going $flow): bool => $flow->placement === $card->place && ($flow->kind === FlowKind::ReadBack
            ? $flow->reads === $drive
            : $flow->kind !== null && in_array($drive, $flow->writes, true));
        foreach ($course->stretches as $flow) {
            if (! $is($flow) || $flow->until > $now) {
                continue;
            }
            $isBack = $flow->kind === FlowKind::ReadBack;
            $copy->forceFill([
                $isBack ? 'verified' : 'copied' => $card->bytes,
                $isBack ? 'back_at' : 'copy_at' => $offload->moment($flow->since),
                $isBack ? 'verified_at' : 'copied_at' => $offload->moment($flow->until),
                'state' => $isBack || $copy->verified_at !== null ? CopyState::Verified : CopyState::Copied,
                ...$isBack ? ['standing' => CopyStanding::ReadBack, 'standing_at' => $offload->moment($flow->until)] : [],
            ]);
        }
        foreach ($course->going ?? [] as $flow) {
            if ($is($flow)) {
                $isBack = $flow->kind === FlowKind::ReadBack;
                $copy->forceFill([
                    $isBack ? 'verified' : 'copied' => (int) $flow->bytes,
                    $isBack ? 'back_at' : 'copy_at' => $offload->moment($flow->since),
                    'state' => $isBack ? CopyState::Reading : CopyState::Copying,
                ]);
            }
        }
        if ($copy->verified_at !== null && MadeUpFault::strikes($offload->truth, $copy)) {
            MadeUpFault::strike($copy);
        }
        $copy->save();
    }

    private static function card(Offload $offload, OffloadCard $card, Course $course, float $now): void
    {
        foreach ($course->events as $event) {
            if ($event->placement !== $card->place || $event->at > $now || $card->in_at === null) {
                continue;
            }
            if ($event->what === EventKind::Free) {
                $card->free_at ??= $offload->moment($event->at);
            }
        }
        $verified = $card->copies
            ->filter(fn (OffloadCopy $copy): bool => $copy->state === CopyState::Verified)
            ->sortBy('verified_at')
            ->values();
        Standing::settle($card, $verified->get(1)?->verified_at);
    }
}
