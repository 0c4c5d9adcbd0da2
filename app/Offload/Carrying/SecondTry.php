<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Kit\Drive;
use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\OffloadState;
use App\Models\Offload\WhyRefused;
use App\Stations\BenchSight;
use App\Stations\StationFolders;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Place;
use Tally\Transfer\FilePath;

/** A copy that failed is made once more: on the same drive, or on another one. What is whole is not copied again. */
final readonly class SecondTry
{
    /** What is not known of a copy that is still to be made. */
    private const TO_COME = [
        'message' => null, 'troubles' => null, 'verified_at' => null, 'standing' => null, 'standing_at' => null,
        'standing_by' => null, 'standing_note' => null, 'pid' => null,
    ];

    /**
     * All that failed, or one of them.
     *
     * @throws ValidationException where another card lies in the slot by now
     */
    public static function again(Offload $offload, ?OffloadCopy $one = null): void
    {
        $failed = OffloadCopy::query()
            ->with('offloadCard.copies', 'offloadCard.card', 'offloadCard.offload.station')
            ->whereIn('offload_card_id', $offload->cards()->whereNotNull('in_at')->pluck('id'))
            ->where('state', CopyState::Failed)
            ->when($one !== null, fn ($copies) => $copies->whereKey($one?->id))
            ->get();
        self::mustBeTheCards($offload, $failed);
        self::order($offload, $failed);
    }

    /**
     * @param  string  $folder  where that drive is mounted; nothing where it is known, or made up
     *
     * @throws ValidationException where it cannot be a copy there
     */
    public static function elsewhere(Offload $offload, OffloadCopy $copy, string $drive, string $folder): void
    {
        $card = OffloadCard::query()->with('copies', 'card', 'offload.station')->findOrFail($copy->offload_card_id);
        if ($copy->state !== CopyState::Failed) {
            self::refuse('drive', "The copy on {$copy->drive} has not failed. Nothing was changed.");
        }
        if (! Drive::query()->where('tag', $drive)->whereNull('gone_on')->exists()) {
            self::refuse('drive', "“{$drive}” is no drive in service. Choose one of the list.");
        }
        if ($card->copies->contains(fn (OffloadCopy $other): bool => $other->drive === $drive)) {
            self::refuse('drive', "{$card->card->tag} has a copy on {$drive} already: two there are one. Choose another drive.");
        }
        $places = $offload->places;
        if (! $offload->is_made_up) {
            $path = trim($folder) === '' ? $places->drives[$drive] ?? '' : trim($folder);
            try {
                StationFolders::allowed()->admitWithin($path);
            } catch (UnusablePath $fault) {
                self::refuse('folder', $fault->getMessage());
            }
            $places = $places->with($drive, $path, Place::of($path));
        }
        $copy->setRelation('offloadCard', $card);
        self::mustBeTheCards($offload, new Collection([$copy]));
        $offload->forceFill(['places' => $places])->save();
        $copy->forceFill(['drive' => $drive, 'copied' => 0, 'verified' => 0, 'lists' => null])->save();
        self::order($offload, new Collection([$copy]));
    }

    /**
     * @param  Collection<int, OffloadCopy>  $failed
     *
     * @throws ValidationException
     */
    private static function mustBeTheCards(Offload $offload, Collection $failed): void
    {
        if ($offload->is_made_up) {
            return;
        }
        foreach ($failed->groupBy('offload_card_id') as $copies) {
            $copy = $copies->firstOrFail();
            $card = $copy->offloadCard;
            $path = $offload->places->slots[$card->slot] ?? '';
            if ($copy->isRelayed() || $card->isFollowed()) {
                continue;
            }
            $seen = BenchSight::card($offload->station, $path);
            $isSaid = $card->found?->digest === $seen?->contents?->digest;
            $complaint = $seen === null ? null : CardCheck::complaint($card, $seen, $isSaid);
            if ($seen === null) {
                self::refuse('again', self::silent($offload, FilePath::shown($path)));
            }
            if ($complaint !== null) {
                $card->forceFill(['refused_for' => $complaint->for])->save();
                self::refuse('again', $complaint->sentence);
            }
        }
    }

    /**
     * A card that was written to after it was read comes home from the beginning, into a folder of its own: what lies on the drives stays.
     *
     * @throws ValidationException where it does not lie in its slot, or was not written to; the page asks for it then
     */
    public static function fromTheBeginning(OffloadCard $card, string $by): void
    {
        DB::transaction(function () use ($card): void {
            $offload = Offload::query()->whereKey($card->offload_id)->lockForUpdate()->firstOrFail();
            $card->refresh()->load('copies');
            $tag = $card->card->tag;
            $isGoing = $card->copies->contains(fn (OffloadCopy $copy): bool => $copy->state->isGoing());
            if ($card->refused_for !== WhyRefused::Grown || $isGoing) {
                self::refuse('again', "{$tag} was not found to be written to since it was read, or is being copied. Nothing was changed.");
            }
            if ($card->isFollowed()) {
                self::refuse('again', "Another card lies in {$card->slot} by now. Plan a new offload for {$tag}, with both copies.");
            }
            foreach ($card->copies as $copy) {
                $copy
                    ->forceFill([
                        ...self::TO_COME,
                        ...array_fill_keys(['copy_at', 'copied_at', 'back_at', 'lists', 'record', 'place'], null),
                        'state' => CopyState::Waiting,
                        'copied' => 0,
                        'verified' => 0,
                    ])
                    ->save();
            }
            $card
                ->forceFill(array_fill_keys(['in_at', 'free_at', 'clear_at', 'read_at', 'medium', 'found', 'less_by', 'refused_for'], null))
                ->save();
            $offload->forceFill(['state' => OffloadState::Going, 'ended_at' => null])->save();
        });
        ConfirmSwap::isIn($card->setRelation('offload', $card->offload->refresh()), null, $by);
    }

    public static function silent(Offload $offload, string $path): string
    {
        return "{$offload->station->name} did not say within a few seconds what lies at {$path}. Is it running, and does the medium ".
            'answer? Nothing was copied; say so again.';
    }

    /** @param  Collection<int, OffloadCopy>  $failed */
    private static function order(Offload $offload, Collection $failed): void
    {
        foreach ($failed as $copy) {
            $copy
                ->forceFill([...self::TO_COME, 'state' => $offload->is_made_up ? CopyState::Copied : CopyState::Waiting])
                ->save();
        }
        $offload->forceFill(['truth' => MadeUpFault::healed($offload->truth)])->save();
        if ($failed->isNotEmpty() && $offload->isOver()) {
            $isWaiting = $offload->cards()->whereNull('in_at')->exists();
            $offload->forceFill(['state' => $isWaiting ? OffloadState::Going : OffloadState::Ending, 'ended_at' => null])->save();
        }
        CopyOrders::give($offload);
    }

    /** @throws ValidationException */
    private static function refuse(string $field, string $sentence): never
    {
        throw ValidationException::withMessages([$field => $sentence]);
    }
}
