<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\OffloadState;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/** When an offload is over: nothing goes any more, and nothing is to come. */
final readonly class Ending
{
    /** @param  Collection<int, OffloadCard>  $cards  with their copies */
    public static function ofOffload(Offload $offload, Collection $cards, Carbon $now): void
    {
        $isGoing = $cards->contains(
            fn (OffloadCard $card): bool => $card->in_at !== null && $card->copies->contains(self::isToCome(...)),
        );
        $isWaiting = $offload->state === OffloadState::Going && $cards->contains(fn (OffloadCard $card): bool => $card->in_at === null);
        if (! $isGoing && ! $isWaiting) {
            $offload->forceFill(['state' => OffloadState::Ended, 'ended_at' => $now])->save();
        }
    }

    /** Of a card that is in, each copy comes, unless it failed or hangs on one that did. */
    private static function isToCome(OffloadCopy $copy): bool
    {
        $readsBack = $copy->planned['back'] !== null;

        return match ($copy->state) {
            CopyState::Failed, CopyState::Verified => false,
            CopyState::Waiting => ! ($copy->isRelayed() && $copy->offloadCard->copies->first()?->state === CopyState::Failed),
            CopyState::Copied => $readsBack,
            default => true,
        };
    }
}
