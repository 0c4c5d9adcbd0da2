<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Kit\Drive;
use App\Models\Offload\CopyStanding;
use App\Models\Offload\CopyState;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\WhyRefused;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Tally\Device\Place;

/**
 * When a card may be cleared: the one place where it becomes so, and where it is taken back. docs/clearing.md tells who leads here.
 */
final readonly class Standing
{
    /** Copies that count, on devices that do not fall together. */
    private const ENOUGH = 2;

    /** @return list<OffloadCopy> that count just now, as the books know */
    public static function counting(OffloadCard $card): array
    {
        $gone = Drive::query()
            ->whereIn('tag', $card->copies->pluck('drive'))
            ->whereNotNull('gone_on')
            ->pluck('tag');

        return array_values(
            $card->copies->filter(fn (OffloadCopy $copy): bool => $copy->stands() && ! $gone->contains($copy->drive))->all(),
        );
    }

    /** @return int on how many devices it is, any of which may be lost without the others */
    public static function devices(OffloadCard $card): int
    {
        return Place::apart(array_map(fn (OffloadCopy $copy): Place => $copy->place(), self::counting($card)));
    }

    /**
     * Says whether it may be cleared, by what is in the books now.
     *
     * @param  OffloadCard  $card  with its copies
     * @param  Carbon|null  $since  from when on, where it may
     */
    public static function settle(OffloadCard $card, ?Carbon $since = null): void
    {
        $isAllOfIt = $card->less_by === null && $card->refused_for !== WhyRefused::Grown;
        $may = $isAllOfIt && self::devices($card) >= self::ENOUGH;
        $card->clear_at = $may ? $card->clear_at ?? $since ?? Carbon::now() : null;
        $card->save();
    }

    /** A drive gave back something wrong: what lies on it counts for no card until it was looked at again. */
    public static function doubt(string $drive, string $why, string $by): void
    {
        $copies = self::on($drive)->where('state', CopyState::Verified)->get();
        foreach ($copies as $copy) {
            self::found($copy, CopyStanding::Doubted, $by, $why);
        }
    }

    /** A drive went out of service, or came back: every card that leans on it is judged anew. */
    public static function ofDrive(string $drive): void
    {
        OffloadCard::query()
            ->with('copies')
            ->whereHas('copies', fn (Builder $copies): Builder => $copies->where('drive', $drive))
            ->get()
            ->each(fn (OffloadCard $card) => self::settle($card));
    }

    /** What a look at a copy found. */
    public static function found(OffloadCopy $copy, CopyStanding $standing, string $by, ?string $note = null): void
    {
        $copy->forceFill([
            // Not to be there to be looked at makes no wrong copy right.
            'standing' => $standing === CopyStanding::Away && $copy->standing?->counts() === false ? $copy->standing : $standing,
            'standing_at' => now(),
            'standing_by' => mb_substr($by, 0, 80),
            'standing_note' => $note === null ? null : mb_substr($note, 0, 300),
        ])->save();
        self::settle(OffloadCard::query()->with('copies')->findOrFail($copy->offload_card_id));
    }

    /** @return Builder<OffloadCopy> real ones */
    private static function on(string $drive): Builder
    {
        return OffloadCopy::query()
            ->where('drive', $drive)
            ->whereHas('offloadCard.offload', fn (Builder $offload): Builder => $offload->where('is_made_up', false));
    }
}
