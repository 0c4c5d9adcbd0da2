<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Evidence\DueBook;
use App\Models\Cards\Card;
use App\Models\When;

/** A card that is taken out of service keeps its history and leaves every plan. */
final readonly class Retirement
{
    /** @return string why it cannot be taken out now; empty where it can */
    public static function complaint(Card $card): string
    {
        return $card->footage->isZero()
            ? ''
            : "{$card->tag} has {$card->footage->decimal()} of footage on it. Bring it home and clear the card first.";
    }

    public static function take(Card $card, string $why, string $by): void
    {
        $card->forceFill(['retired_on' => now()->format(When::ISO_DAY), 'retired_why' => $why, 'retired_by' => $by])->save();
        DueBook::refresh($card);
    }

    public static function back(Card $card): void
    {
        $card->forceFill(['retired_on' => null, 'retired_why' => null, 'retired_by' => null])->save();
        DueBook::refresh($card);
    }
}
