<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Intake\InspectionBook;
use App\Models\Kit\Reader;
use App\Models\Offload\CopyStanding;
use App\Models\Offload\CopyState;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use Tally\Inspection\Question;
use Tally\Transfer\CopyOnDrive;
use Tally\Transfer\Filed\BesideCopy;
use Tally\Transfer\TransferResult;
use Tally\Transfer\Trouble;
use Tally\Transfer\TroubleKind;

/** What came of copies, written down: of each on its drive, and of the card that was read. */
final readonly class CopyOutcome
{
    /**
     * @param  list<OffloadCopy>  $copies
     * @param  list<string>  $lists
     */
    public static function enter(OffloadCard $card, array $copies, TransferResult $result, array $lists): void
    {
        $now = now();
        foreach ($copies as $at => $copy) {
            // Nobody waited for it any longer.
            if (OffloadCopy::query()->whereKey($copy->id)->value('state') === CopyState::Failed) {
                OffloadCopy::query()->whereKey($copy->id)->update(['pid' => null]);

                continue;
            }
            $made = $result->copies[$at];
            $troubles = array_values(
                array_filter($result->troubles, fn (Trouble $one): bool => $one->drive === null || $one->drive === $made->drive),
            );
            $isWhole = $made->isWhole($result->files) && $troubles === [];
            $own = array_values(array_filter($lists, fn (string $list): bool => str_starts_with($list, "{$made->folder}.")));
            $record = array_values(array_filter($own, fn (string $list): bool => str_ends_with($list, '.'.BesideCopy::RECORD)))[0] ?? null;
            $copy->forceFill([
                'state' => $isWhole ? CopyState::Verified : CopyState::Failed,
                'copied' => $isWhole ? $result->bytes : min($copy->copied, $result->bytes),
                'verified' => $isWhole ? $result->bytes : min($copy->verified, $result->bytes),
                'copied_at' => $copy->copied_at ?? $now,
                'verified_at' => $isWhole ? $now : null,
                'message' => $isWhole ? null : mb_substr(self::why($made, $result, $troubles), 0, 500),
                'troubles' => $troubles,
                'lists' => $own,
                'pid' => null,
                'standing' => $isWhole ? CopyStanding::ReadBack : null,
                'standing_at' => $isWhole ? $now : null,
                'standing_by' => null,
                'standing_note' => null,
                'place' => $isWhole ? $made->place : null,
                'record' => $isWhole && $record !== null ? hash('xxh128', (string) @file_get_contents($record)) : null,
            ])->save();
            DriveFindings::file($copy, $troubles);
        }
        if (! $copies[0]->isRelayed()) {
            self::find($card, $result);
            // How much there really is on it.
            $card->forceFill(['bytes' => $result->bytes, 'files' => $result->files])->save();
        }
    }

    /** What the card itself did wrong stands in its evidence from now on. */
    private static function find(OffloadCard $card, TransferResult $result): void
    {
        $answers = [TroubleKind::Unreadable->value => 'unreadable', TroubleKind::SourceUnsteady->value => 'unsteady'];
        $found = array_intersect_key($answers, array_flip(array_map(fn (Trouble $one): string => $one->kind->value, $result->troubles)));
        $reader = Reader::query()->where('tag', explode(' ', $card->slot)[0])->first();
        foreach ($found as $key) {
            $answer = Question::Copying->answer($key);
            if ($answer !== null) {
                InspectionBook::enter(
                    $card->card,
                    Question::Copying,
                    $answer,
                    $card->confirmed_by ?? $card->offload->by,
                    code: null,
                    reader: $reader,
                );
            }
        }
    }

    /** @param  list<Trouble>  $troubles */
    private static function why(CopyOnDrive $made, TransferResult $result, array $troubles): string
    {
        return match (true) {
            $made->fault !== null => $made->fault,
            $result->cutShort !== null => $result->cutShort,
            $troubles !== [] => $troubles[0]->sentence(),
            $result->stopped => 'Stopped with the station. What is whole stays; it goes on from there.',
            default => count($made->missing).' files are missing.',
        };
    }
}
