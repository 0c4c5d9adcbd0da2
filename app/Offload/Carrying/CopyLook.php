<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\CopyStanding;
use App\Models\Offload\CopyState;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Stations\BenchSight;
use Illuminate\Database\QueryException;
use Tally\Transfer\Filed\FolderFinding;
use Tally\Transfer\Filed\TreeFinding;

/** Copies that were read back are looked at again: before a card is cleared, and whenever somebody verifies a drive. */
final readonly class CopyLook
{
    /**
     * Looks at every copy that counts, at the bench that made it.
     *
     * @return bool whether any of them was at hand
     */
    public static function of(OffloadCard $card, string $by): bool
    {
        $isAny = false;
        foreach ($card->offload->is_made_up ? [] : Standing::counting($card) as $copy) {
            $drive = $card->offload->places->drives[$copy->drive] ?? '';
            $sight = BenchSight::copy($card->offload->station, $copy, $drive);
            $isAny = $isAny || $sight?->isRight !== null;
            Standing::found(
                $copy,
                match ($sight?->isRight) {
                    true => CopyStanding::SeenAgain,
                    false => CopyStanding::Changed,
                    null => CopyStanding::Away,
                },
                $by,
                $sight->note ?? "{$card->offload->station->name} does not answer",
            );
        }
        $card->refresh()->load('copies', 'offload.station');

        return $isAny || $card->offload->is_made_up;
    }

    /**
     * What somebody found on a drive, wherever it is mounted: a copy is known by the record beside it.
     *
     * @return int|null copies of the books that it was about; null where the books could not be reached
     */
    public static function enter(TreeFinding $finding, string $by): ?int
    {
        try {
            $entered = 0;
            foreach ($finding->folders as $folder) {
                foreach (self::copies($folder) as $copy) {
                    $standing = self::standing($folder);
                    if ($standing !== null) {
                        Standing::found($copy, $standing, $by, self::words($folder));
                        $entered++;
                    }
                }
            }

            return $entered;
        } catch (QueryException) {
            return null;
        }
    }

    /** @return list<OffloadCopy> */
    private static function copies(FolderFinding $folder): array
    {
        $verified = OffloadCopy::query()->with('offloadCard')->where('state', CopyState::Verified);
        $known = (clone $verified)->whereIn('record', $folder->records)->get();
        if ($known->isNotEmpty()) {
            return array_values($known->all());
        }

        // Its record is gone or altered: then it is the one that was put there.
        return array_values(
            $verified
                ->whereNotNull('lists')
                ->get()
                ->filter(fn (OffloadCopy $copy): bool => in_array("{$folder->folder}.copy.json", $copy->lists ?? [], true))
                ->all(),
        );
    }

    private static function standing(FolderFinding $folder): ?CopyStanding
    {
        return match (true) {
            ! $folder->isAsListed() => CopyStanding::Changed,
            // What was not read to its end says nothing good.
            $folder->stopped || $folder->isPart => null,
            default => CopyStanding::SeenAgain,
        };
    }

    private static function words(FolderFinding $folder): string
    {
        return $folder->isAsListed()
            ? "all {$folder->same} files as listed"
            : implode('; ', array_slice($folder->lines(), 0, 3)).(count($folder->lines()) > 3 ? ' …' : '');
    }
}
