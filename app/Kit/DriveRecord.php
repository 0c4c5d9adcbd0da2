<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Drive;
use App\Models\Kit\DriveFinding;
use App\Models\Offload\OffloadCard;
use App\Models\When;

/**
 * What drives got wrong when copies were read back. Made-up ones, to practise with, are shown and count for nothing.
 *
 * @phpstan-import-type DriveCheckProps from DriveChecks
 *
 * @phpstan-type DriveCareProps array{ // Whether a drive is in service, what leans on it, and how it stood to its lists.
 *     gone: string|null, // since when it is out of service, why and by whom; null where it is not
 *     leaning: int, // cards that may be cleared because of a copy on it
 *     folder: string, // where it was mounted last
 *     checks: list<DriveCheckProps>, // the newest first
 *     person: string,
 * }
 * @phpstan-type DriveFindingProps array{ // Something that a drive got wrong.
 *     id: int,
 *     card: string,
 *     file: string,
 *     what: string, // such as “gave back other bytes, twice the same”
 *     offload: int,
 *     shoot: string,
 *     isMadeUp: bool, // whether it was a made-up drive, to practise with
 *     by: string,
 *     on: string,
 * }
 */
final readonly class DriveRecord
{
    private const SHOWN = 50;

    /** @return list<DriveFindingProps> the newest first */
    public static function of(string $drive): array
    {
        return array_values(
            DriveFinding::query()
                ->with(['card', 'offload'])
                ->where('drive', $drive)
                ->latest('id')
                ->limit(self::SHOWN)
                ->get()
                ->map(
                    fn (DriveFinding $one): array => [
                        'id' => $one->id,
                        'card' => $one->card->tag,
                        'file' => $one->path,
                        'what' => $one->kind->words(),
                        'offload' => $one->offload_id,
                        'shoot' => $one->offload->name,
                        'isMadeUp' => $one->offload->is_made_up,
                        'by' => $one->by,
                        'on' => $one->found_at->format(When::DAY),
                    ],
                )
                ->all(),
        );
    }

    /** @return DriveCareProps|null */
    public static function care(string $tag, ?string $person): ?array
    {
        $drive = Drive::query()->where('tag', $tag)->first();
        $last = OffloadCard::query()
            ->whereHas('offload', fn ($offload) => $offload->where('is_made_up', false))
            ->whereHas('copies', fn ($copies) => $copies->where('drive', $tag))
            ->with('offload')
            ->latest('id')
            ->first();

        return $drive === null
            ? null
            : [
                'gone' => $drive->gone_on === null
                    ? null
                    : "since {$drive->gone_on->format(When::DAY)}: {$drive->gone_why} ({$drive->gone_by})",
                'leaning' => OffloadCard::query()
                    ->whereNotNull('clear_at')
                    ->whereHas('copies', fn ($copies) => $copies->where('drive', $tag))
                    ->whereHas('card', fn ($cards) => $cards->where('footage', '>', 0))
                    ->distinct()
                    ->count('card_id'),
                'folder' => $last?->offload->places->drives[$tag] ?? '',
                'checks' => DriveChecks::of($tag),
                'person' => $person ?? '',
            ];
    }

    /** @return array<string, string> tag → a sentence, of each real drive that got something wrong */
    public static function sentences(): array
    {
        $found = DriveFinding::query()
            ->whereHas('offload', fn ($offload) => $offload->where('is_made_up', false))
            ->orderBy('id')
            ->get();
        $sentences = [];
        foreach ($found->countBy('drive') as $drive => $count) {
            $files = $count === 1 ? 'one file' : "{$count} files";
            $last = $found->where('drive', $drive)->last()?->found_at->format(When::DAY) ?? '';
            $sentences[(string) $drive] = "{$drive} gave back {$files} wrong, last on {$last}. Test it before you trust it.";
        }

        return $sentences;
    }
}
