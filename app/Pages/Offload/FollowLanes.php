<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use Illuminate\Support\Carbon;

/**
 * The runbook of an offload that goes on: a lane for each slot, and for each drive that copies on to another.
 *
 * @phpstan-type FollowLaneProps array{ // A row of the runbook that is followed.
 *     name: string,
 *     passages: list<PassageProps>,
 * }
 * @phpstan-type PassageProps array{ // A bar of the runbook: as planned, and as it went. Times are seconds from the beginning.
 *     kind: string, // copy, read back or relay
 *     tag: string,
 *     words: string, // what it is, in a sentence without its times
 *     from: float,
 *     to: float,
 *     began: float|null, // null while it has not
 *     until: float|null, // as far as it has come
 *     isOver: bool,
 * }
 */
final readonly class FollowLanes
{
    /** @return list<FollowLaneProps> */
    public static function of(Offload $offload, float $now): array
    {
        $slots = $onward = [];
        foreach ($offload->cards as $card) {
            $seen = [];
            foreach ($card->copies as $copy) {
                $isRelayed = $copy->isRelayed();
                $lane = $isRelayed ? "{$card->drives[0]} → {$copy->drive}" : $card->slot;
                $passages = [];
                // Of a fan-out one copy stands for all: they go at once.
                if (! in_array(implode(' ', $copy->planned['copy']), $seen, true)) {
                    $passages[] = self::copying($offload, $card, $copy, $now);
                    $seen[] = implode(' ', $copy->planned['copy']);
                }
                if ($copy->planned['back'] !== null) {
                    $passages[] = self::readingBack($offload, $card, $copy, $now);
                }
                if ($isRelayed) {
                    $onward[$lane] = [...$onward[$lane] ?? [], ...$passages];
                } else {
                    $slots[$lane] = [...$slots[$lane] ?? [], ...$passages];
                }
            }
        }
        ksort($slots);
        ksort($onward);
        $lanes = [];
        foreach ([...$slots, ...$onward] as $name => $passages) {
            $lanes[] = ['name' => $name, 'passages' => $passages];
        }

        return $lanes;
    }

    /** @return PassageProps */
    private static function copying(Offload $offload, OffloadCard $card, OffloadCopy $copy, float $now): array
    {
        $tag = $card->card->tag;
        $onto = $card->scheme->value === 'fan-out' ? implode(' and ', $card->drives) : $copy->drive;

        return self::passage(
            $offload,
            $copy->isRelayed() ? 'relay' : 'copy',
            $tag,
            $copy->isRelayed() ? "copy {$tag} from {$card->drives[0]} on to {$copy->drive}" : "copy {$tag} to {$onto}",
            planned: $copy->planned['copy'],
            began: $copy->copy_at,
            ended: $copy->copied_at,
            now: $now,
        );
    }

    /** @return PassageProps */
    private static function readingBack(Offload $offload, OffloadCard $card, OffloadCopy $copy, float $now): array
    {
        return self::passage(
            $offload,
            'read back',
            $card->card->tag,
            "read {$card->card->tag} back from {$copy->drive}",
            planned: $copy->planned['back'] ?? [0.0, 0.0],
            began: $copy->back_at,
            ended: $copy->verified_at,
            now: $now,
        );
    }

    /**
     * @param  array{float, float}  $planned
     * @return PassageProps
     */
    private static function passage(
        Offload $offload,
        string $kind,
        string $tag,
        string $words,
        array $planned,
        ?Carbon $began,
        ?Carbon $ended,
        float $now,
    ): array {
        return [
            'kind' => $kind,
            'tag' => $tag,
            'words' => $words,
            'from' => $planned[0],
            'to' => $planned[1],
            'began' => $began === null ? null : $offload->seconds($began),
            'until' => $began === null ? null : ($ended === null ? $now : $offload->seconds($ended)),
            'isOver' => $ended !== null,
        ];
    }
}
