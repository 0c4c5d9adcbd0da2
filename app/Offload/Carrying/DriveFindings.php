<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Kit\DriveFinding;
use App\Models\Offload\OffloadCopy;
use Tally\Transfer\FilePath;
use Tally\Transfer\Trouble;

/** What drives got wrong while copies were read back: kept with the drive, also when the copy is made anew and is right then. */
final readonly class DriveFindings
{
    /** @param  list<Trouble>  $troubles  of this copy; those of the card stand in its own evidence */
    public static function file(OffloadCopy $copy, array $troubles): void
    {
        $card = $copy->offloadCard;
        $ofDrive = array_filter($troubles, fn (Trouble $trouble): bool => ! $trouble->kind->isOfTheSource());
        if ($ofDrive !== [] && ! $card->offload->is_made_up) {
            $by = $card->confirmed_by ?? $card->offload->by;
            Standing::doubt($copy->drive, "{$copy->drive} gave back something wrong of {$card->card->tag}", $by);
        }
        foreach ($troubles as $trouble) {
            if (! $trouble->kind->isOfTheSource()) {
                DriveFinding::query()->firstOrCreate([
                    'drive' => $copy->drive,
                    'offload_id' => $card->offload_id,
                    'card_id' => $card->card_id,
                    'kind' => $trouble->kind,
                    // A name on a card may be no text at all.
                    'path' => mb_substr(FilePath::shown($trouble->path), 0, 400),
                ], ['by' => $card->confirmed_by ?? $card->offload->by, 'found_at' => now()]);
            }
        }
    }
}
