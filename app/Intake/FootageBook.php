<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Cards\Card;
use App\Models\Cards\FootageAct;
use Illuminate\Support\Facades\DB;
use Tally\Quantity\Bytes;

/** What a card carries that must come home before anything is erased: said and cleared by a person, each with name and time. */
final readonly class FootageBook
{
    /** @param  int  $files  that the footage is in; 0 where nobody counted */
    public static function carries(Card $card, Bytes $footage, string $by, int $files = 0): void
    {
        self::enter($card, $footage, $files, $by, null);
    }

    /** @param  string  $why  where it is now, or why it is given up */
    public static function clear(Card $card, string $by, string $why): void
    {
        self::enter($card, Bytes::of(0), 0, $by, $why);
    }

    private static function enter(Card $card, Bytes $footage, int $files, string $by, ?string $note): void
    {
        DB::transaction(function () use ($card, $footage, $files, $by, $note): void {
            Card::query()->whereKey($card->id)->lockForUpdate()->first();
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
}
