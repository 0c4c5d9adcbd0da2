<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use App\Models\Kit\Drive;
use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\WhyRefused;
use App\Offload\Carrying\HungCopies;
use Illuminate\Support\Carbon;

/**
 * Copies that are not as they should be: the loudest thing on the page, until one way out is chosen.
 *
 * @phpstan-type WrongCopyProps array{ // A copy that is not as it should be, and what can be done about it.
 *     copy: int, // of this offload
 *     drive: string,
 *     lead: string, // “QS-027: its copy on D4 is wrong. Do not clear.”
 *     found: list<string>, // what was found, the first one first
 *     stay: string, // where the card must stay
 *     hangs: bool, // whether it has not failed, but its medium does not answer
 *     drives: list<string>, // others that it can go onto
 *     isReal: bool, // whether a folder is to be said for another drive
 *     grown: int|null, // of this offload: the card, where it was written to since it was read
 * }
 */
final readonly class WrongCopies
{
    private const NAMED = 5;

    /** @return list<WrongCopyProps> the oldest first */
    public static function of(Offload $offload, Carbon $now): array
    {
        $wrong = [];
        foreach ($offload->cards as $card) {
            foreach ($card->copies as $copy) {
                $hangs = HungCopies::hangs($offload, $copy, $now);
                if ($hangs || $copy->state === CopyState::Failed) {
                    $wrong[] = self::copy($offload, $card, $copy, $hangs);
                }
            }
        }

        return $wrong;
    }

    /** @return WrongCopyProps */
    private static function copy(Offload $offload, OffloadCard $card, OffloadCopy $copy, bool $hangs): array
    {
        $tag = $card->card->tag;
        $has = $card->copies->pluck('drive')->all();
        $others = Drive::query()
            ->whereNull('gone_on')
            ->whereNotIn('tag', $has)
            ->orderBy('tag')
            ->get('tag')
            ->map(fn (Drive $drive): string => $drive->tag)
            // Those that are mounted for this offload already come first.
            ->sortBy(fn (string $tag): int => isset($offload->places->drives[$tag]) ? 0 : 1);

        return [
            'copy' => $copy->id,
            'drive' => $copy->drive,
            'lead' => match (true) {
                $hangs => "{$tag}: nothing comes from {$copy->drive} or the card. Do not clear.",
                ($copy->troubles ?? []) !== [] => "{$tag}: its copy on {$copy->drive} is wrong. Do not clear.",
                default => "{$tag}: its copy on {$copy->drive} was not made. Do not clear.",
            },
            'found' => $hangs ? ["Not heard from since {$copy->beat_at?->format('H:i:s')}."] : self::found($copy),
            'stay' => $copy->isRelayed() ? "It comes from {$card->drives[0]}; leave that plugged in." : "Leave {$tag} in {$card->slot}.",
            'hangs' => $hangs,
            'drives' => array_values($others->take(self::NAMED)->all()),
            'isReal' => ! $offload->is_made_up,
            'grown' => $card->refused_for === WhyRefused::Grown ? $card->id : null,
        ];
    }

    /** @return list<string> */
    private static function found(OffloadCopy $copy): array
    {
        $found = [$copy->message];
        foreach (array_slice($copy->troubles ?? [], 0, self::NAMED) as $trouble) {
            $found[] = $trouble['sentence'] ?? null;
        }
        $more = count($copy->troubles ?? []) - self::NAMED;
        if ($more > 0) {
            $found[] = "And {$more} more like these; the record on the drive names them.";
        }

        return array_values(array_unique(array_filter($found, is_string(...))));
    }
}
