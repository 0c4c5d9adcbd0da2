<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Drive;
use App\Models\Kit\DriveFinding;
use App\Models\Offload\OffloadCard;

/** What drives got wrong when copies were read back. Made-up ones, to practise with, are shown and count for nothing. */
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
                    fn (DriveFinding $one): DriveFindingProps => new DriveFindingProps(
                        $one->id,
                        $one->card->tag,
                        $one->path,
                        $one->kind->words(),
                        $one->offload_id,
                        $one->offload->name,
                        $one->offload->is_made_up,
                        $one->by,
                        $one->found_at->format('j M Y'),
                    ),
                )
                ->all(),
        );
    }

    public static function care(string $tag, ?string $person): ?DriveCareProps
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
            : new DriveCareProps(
                $drive->gone_on === null ? null : "since {$drive->gone_on->format('j M Y')}: {$drive->gone_why} ({$drive->gone_by})",
                OffloadCard::query()
                    ->whereNotNull('clear_at')
                    ->whereHas('copies', fn ($copies) => $copies->where('drive', $tag))
                    ->whereHas('card', fn ($cards) => $cards->where('footage', '>', 0))
                    ->distinct()
                    ->count('card_id'),
                $last?->offload->places->drives[$tag] ?? '',
                DriveChecks::of($tag),
                $person ?? '',
            );
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
            $last = $found->where('drive', $drive)->last()?->found_at->format('j M Y') ?? '';
            $sentences[(string) $drive] = "{$drive} gave back {$files} wrong, last on {$last}. Test it before you trust it.";
        }

        return $sentences;
    }
}
