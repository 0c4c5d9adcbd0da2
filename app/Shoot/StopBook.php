<?php

declare(strict_types=1);

namespace App\Shoot;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Shoot\StoppedRecording;

/** What a recording that stopped means for its card. */
final readonly class StopBook
{
    /** Where the card itself stopped it, that is counted, and its verdict derived anew: a second one is a doubt about it. */
    public static function enter(StoppedRecording $stop): void
    {
        if ($stop->cause->isTheCards()) {
            Card::query()->whereKey($stop->card_id)->increment('stopped');
            CardEvidence::refresh(Card::query()->findOrFail($stop->card_id));
        }
    }
}
