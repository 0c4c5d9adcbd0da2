<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Cards\Card;
use App\Models\Cards\FootageAct;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tally\Quantity\Bytes;

/** What a card carries that must come home before anything is erased: said and cleared by a person, each with name and time. */
final readonly class FootageBook
{
    /**
     * @param  int  $files  that the footage is in; 0 where nobody counted
     * @param  string|null  $seen  what the page showed of the card, where one did
     *
     * @throws ValidationException where it was another by then
     */
    public static function carries(Card $card, Bytes $footage, string $by, int $files = 0, ?string $seen = null): void
    {
        self::enter($card, $footage, $files, $by, note: null, seen: $seen);
    }

    /**
     * @param  string  $why  where it is now, or why it is given up
     * @param  string|null  $seen  what the page showed of the card, where one did
     *
     * @throws ValidationException where it was another by then
     */
    public static function clear(Card $card, string $by, string $why, ?string $seen = null): void
    {
        self::enter($card, Bytes::of(0), 0, $by, note: $why, seen: $seen);
    }

    private static function enter(Card $card, Bytes $footage, int $files, string $by, ?string $note, ?string $seen): void
    {
        DB::transaction(function () use ($card, $footage, $files, $by, $note, $seen): void {
            $locked = Card::query()->whereKey($card->id)->lockForUpdate()->firstOrFail();
            if ($seen !== null && self::seen($locked) !== $seen) {
                throw ValidationException::withMessages(['seen' => self::since($locked, $seen)]);
            }
            FootageAct::query()->create([
                'card_id' => $card->id,
                'bytes' => $footage->count,
                'files' => $files,
                'note' => $note,
                'recorded_by' => $by,
                'created_at' => now(),
            ]);
            $card->forceFill(['footage' => $footage->count, 'footage_files' => $files])->save();
        });
    }

    /**
     * What of a card counts when it is marked, cleared or taken out of service.
     *
     * @return string its newest act, and whether it is in service; empty where nothing was said of it yet
     */
    public static function seen(Card $card): string
    {
        $newest = FootageAct::query()->where('card_id', $card->id)->max('id');

        return (is_numeric($newest) ? (string) (int) $newest : '').($card->retired_on === null ? '' : '-out');
    }

    /** @param  string  $seen  what a page showed of it */
    public static function since(Card $card, string $seen): string
    {
        $acts = FootageAct::query()->where('card_id', $card->id)->where('id', '>', (int) $seen)->orderBy('id')->get();
        $said = $acts
            ->map(
                fn (FootageAct $act): string => $act->bytes === 0
                    ? "{$act->recorded_by} cleared it"
                    : "{$act->recorded_by} marked ".Bytes::of($act->bytes)->decimal().' on it',
            )
            ->implode('; ');
        $said = $said === '' ? 'it was taken out of service, or back' : $said;

        return "Since this page was loaded, {$said}. Nothing of yours was saved. Look at what stands here now, and say so again.";
    }
}
