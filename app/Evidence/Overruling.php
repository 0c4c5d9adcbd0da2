<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Models\Cards\Card;
use App\Models\Cards\Overrule;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Tally\Verdict\VerdictKind;

/** A person overrules what was derived of a card, with a reason. What was derived goes on being derived, and both are shown. */
final readonly class Overruling
{
    public static function say(Card $card, VerdictKind $verdict, string $reason, string $by): void
    {
        DB::transaction(function () use ($card, $verdict, $reason, $by): void {
            $card = Card::query()->whereKey($card->id)->lockForUpdate()->firstOrFail();
            self::standing($card)->update(['withdrawn' => 'said otherwise later']);
            $derived = CardEvidence::refresh($card)->kind;
            Overrule::query()->create([
                'card_id' => $card->id,
                'derived' => $derived,
                'verdict' => $verdict,
                'reason' => $reason,
                'recorded_by' => $by,
            ]);
            $card->overruled = $verdict;
            CardEvidence::refresh($card);
        });
    }

    /** @return bool whether there was one to take back */
    public static function withdraw(Card $card, string $reason): bool
    {
        return DB::transaction(function () use ($card, $reason): bool {
            $card = Card::query()->whereKey($card->id)->lockForUpdate()->firstOrFail();
            $taken = self::standing($card)->update(['withdrawn' => $reason]);
            $card->overruled = null;
            CardEvidence::refresh($card);

            return $taken > 0;
        });
    }

    /** @return Builder<Overrule> */
    private static function standing(Card $card): Builder
    {
        return Overrule::query()->where('card_id', $card->id)->whereNull('withdrawn');
    }
}
