<?php

declare(strict_types=1);

namespace App\Erasing;

use App\Models\Cards\Card;
use App\Models\Stations\Slot;
use App\Models\Stations\SlotKind;
use App\Models\Stations\Station;
use App\Offload\Carrying\CopyLook;
use App\Offload\Carrying\Secured;
use Illuminate\Database\QueryException;
use Tally\Device\Fault\CannotErase;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Raw\Guard;

/** Who may erase what on this station: the rules of the device, and those of the card in hand. */
final readonly class Permit
{
    /**
     * @param  string|null  $why  why a device of another size than the label is erased all the same
     * @param  list<string>|null  $images  folders that images must lie below; null for anywhere but the host's own places
     *
     * @throws UnusablePath when the card carries footage that is not secured
     */
    public static function guard(string $path, ?Card $card, ?string $why, ?array $images): Guard
    {
        self::mustBeSecured($path, $card);

        return new Guard(self::removable(), $card === null ? null : $card->capacity, $why, $images);
    }

    /** @throws UnusablePath */
    public static function mustBeSecured(string $path, ?Card $card): void
    {
        if ($card !== null && ! $card->footage->isZero()) {
            $footage = $card->footage->decimal();
            throw CannotErase::mustNotErase(
                $path,
                "{$card->tag} still carries {$footage} of footage that is not secured. Bring it home first, and clear it on its ".
                'Intake page.',
            );
        }
    }

    /**
     * In a folder only free space is filled; but a card that starts over writes that onto its directories and clips.
     *
     * @param  string|null  $lost  why it may be lost, in writing
     *
     * @throws UnusablePath when the card carries footage that is not secured
     */
    public static function mustNotWriteOver(string $path, ?Card $card, ?string $lost): void
    {
        if ($card === null || $card->footage->isZero() || trim($lost ?? '') !== '') {
            return;
        }
        $home = Secured::of($card);
        // Whoever relies on its copies has them looked at.
        if ($home !== null && CopyLook::of($home, 'before a run') && $home->clear_at !== null) {
            return;
        }
        throw CannotErase::mayWriteOver($path, $card->tag, $card->footage->decimal());
    }

    /** @return list<string> the station's list of removable media: those of .env, and the devices of its own slots */
    public static function removable(): array
    {
        $listed = array_values(array_filter((array) config('tally.removable'), is_string(...)));
        try {
            $slots =
                Station::here()?->slots()->where('kind', SlotKind::Raw)->get()->map(fn (Slot $slot): string => $slot->path ?? '')->all() ??
                [];
        } catch (QueryException) {
            $slots = [];
        }

        return array_values(array_unique(array_filter([...$listed, ...$slots], fn (string $path): bool => $path !== '')));
    }
}
