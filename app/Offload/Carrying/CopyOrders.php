<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use Illuminate\Contracts\Bus\Dispatcher;
use Tally\Offload\Question\Scheme;

/** Hands to the station's workers what can be copied just now. */
final readonly class CopyOrders
{
    public static function give(Offload $offload): void
    {
        if ($offload->is_made_up || $offload->isOver()) {
            return;
        }
        foreach ($offload->cards()->with('copies')->whereNotNull('in_at')->get() as $card) {
            $copies = self::ready($card);
            if ($copies === []) {
                continue;
            }
            foreach ($copies as $copy) {
                $copy->forceFill(['state' => CopyState::Ordered, 'worker' => null, 'job_id' => null])->save();
            }
            $job = new CarryCopies($card->id, array_map(fn (OffloadCopy $copy): int => $copy->id, $copies));
            app(Dispatcher::class)->dispatch($job->onQueue($offload->station->offloadQueue())->afterCommit());
        }
    }

    /** @return list<OffloadCopy> that are made in one go: of a fan-out all, else one after the other */
    private static function ready(OffloadCard $card): array
    {
        $waiting = $card->copies->filter(fn (OffloadCopy $copy): bool => $copy->state === CopyState::Waiting);
        $isBusy = $card->copies->contains(fn (OffloadCopy $copy): bool => $copy->state->isGoing());
        if ($waiting->isEmpty() || $isBusy) {
            return [];
        }
        if ($card->scheme === Scheme::FanOut) {
            return array_values($waiting->all());
        }
        $next = $waiting->firstOrFail();
        // A relay comes from a first copy that was read back.
        $hangs = $next->isRelayed() && $card->copies->first()?->state !== CopyState::Verified;

        return $hangs ? [] : [$next];
    }
}
