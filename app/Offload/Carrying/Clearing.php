<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Intake\FootageBook;
use App\Models\Cards\Card;
use App\Models\Offload\CopyStanding;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Stations\BenchSight;
use Illuminate\Validation\ValidationException;

/**
 * Footage is taken off the books of a card: without a reason only where two copies of it stand, and they, and the card where it lies in
 * its slot, are looked at at that very moment. docs/clearing.md tells when.
 */
final readonly class Clearing
{
    /**
     * @param  string  $why  where the footage is, or why it is given up; empty where it is secured here
     * @param  string|null  $seen  what the page showed of the card, where one did
     *
     * @throws ValidationException where a reason is asked for, or the card has changed since it was shown
     */
    public static function of(Card $card, string $by, string $why, ?string $seen = null): void
    {
        $home = Secured::of($card);
        $wasSeen = $home !== null && CopyLook::of($home, $by);
        $written = $home?->clear_at === null ? null : self::writtenSince($home);
        $stands = $home?->clear_at !== null && $wasSeen && $written === null;
        if ($why === '' && ! $stands) {
            throw ValidationException::withMessages(['why' => $written ?? self::asked($home, $wasSeen)]);
        }
        $note = $home?->clear_at === null ? '' : Secured::note($home);
        FootageBook::clear($card, $by, mb_substr(trim("{$why} {$note}"), 0, 300), $seen);
    }

    /** @return string|null what speaks against it: more was recorded onto the card, which still lies where it was read */
    private static function writtenSince(OffloadCard $home): ?string
    {
        $path = $home->offload->is_made_up ? null : $home->offload->places->slots[$home->slot] ?? null;
        $sight = $path === null ? null : BenchSight::card($home->offload->station, $path);
        $complaint = $sight === null ? null : CardCheck::writtenSince($home, $sight);

        return $complaint === null ? null : "Do not clear it: {$complaint->sentence} Bring it home again, or say where the rest is.";
    }

    private static function asked(?OffloadCard $home, bool $wasSeen): string
    {
        if ($home === null) {
            return 'Its footage is not secured here. Say where it is now, such as: on D1 and D3, both read back.';
        }
        $found = $home->copies
            ->filter(fn (OffloadCopy $copy): bool => $copy->standing !== null && $copy->standing !== CopyStanding::ReadBack)
            ->map(
                fn (OffloadCopy $copy): string => "{$copy->drive} ".match ($copy->standing) {
                    CopyStanding::SeenAgain => 'is as it was read back',
                    CopyStanding::Away => "is not at hand ({$copy->standing_note})",
                    default => "is not what was read back: {$copy->standing_note}",
                },
            )
            ->implode('. ');

        return $wasSeen
            ? "Do not clear it: {$found}. Bring it home again, or say where it is now."
            : "Neither copy could be looked at now: {$found}. Plug a drive in, or say where the footage is.";
    }
}
