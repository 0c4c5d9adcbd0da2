<?php

declare(strict_types=1);

namespace App\Pages\Card;

use Tally\Evidence\SpeedReading;
use Tally\Label\Label;
use Tally\Measured\Attribution;
use Tally\Quantity\Rate;
use Tally\Reading\Standing;
use Tally\Reading\WayReading;
use Tally\Record\SpeedRecord;

/**
 * What a label says, what was measured, and where the chain ends.
 *
 * @phpstan-type ClaimLineProps array{ // The claim line: what the label says, what was measured, where the chain ends.
 *     ways: list<ClaimWayProps>,
 *     wall: float|null, // the most that the chain gives in practice, MB/s
 *     least: float|null, // what it gives in practice at the least, MB/s; null where nobody knows
 *     wallName: string|null,
 *     caption: string|null, // which runs, over which region; null when nothing was measured
 * }
 * @phpstan-type ClaimWayProps array{ // One row of the claim line. Speeds in MB/s.
 *     way: string,
 *     runs: list<float>,
 *     median: float|null,
 *     claim: float|null,
 *     floor: float|null,
 *     floorMark: string|null,
 *     struck: string|null, // why the runs are not trusted
 *     untold: string|null, // why a shortfall cannot be told here, whether it is the card’s or its chain’s
 *     leftOut: int|null, // which run is left out, from 0
 * }
 */
final readonly class ClaimPicture
{
    /**
     * @param  SpeedReading|null  $reading  null where nothing was measured
     * @param  string|null  $caption  which runs, over which region
     * @return ClaimLineProps
     */
    public static function of(Label $label, ?SpeedReading $reading, ?SpeedRecord $speeds, ?string $caption): array
    {
        $mark = $label->topMark();
        // Before anything is measured, the wall is the card's own bus, if it says which it has.
        $path = $reading?->blame->path;
        $own = $label->bus?->ceiling();
        $wall = $path === null ? $own?->usable() : $path->usable();
        $write = self::way(
            'write',
            $reading?->write,
            $label->write,
            $speeds?->writes,
            floor: $mark?->floor(),
            mark: $mark?->value,
            blame: $reading?->blame,
        );

        return [
            'ways' => [
                $write,
                self::way('read', $reading?->read, $label->readClaim(), $speeds?->reads, floor: null, mark: null, blame: $reading?->blame),
            ],
            'wall' => $wall === null || $wall->megabytes() > 1e6 ? null : $wall->megabytes(),
            'least' => ($path === null ? $own?->least() : $path->practice()?->low)?->megabytes(),
            'wallName' => $path === null ? "{$label->bus?->label()} bus" : $path->pinch()->name,
            'caption' => $caption,
        ];
    }

    /**
     * @param  list<float>|null  $rates  bytes a second
     * @return ClaimWayProps
     */
    private static function way(
        string $way,
        ?WayReading $reading,
        ?Rate $claim,
        ?array $rates,
        ?Rate $floor,
        ?string $mark,
        ?Attribution $blame,
    ): array {
        return [
            'way' => $way,
            'runs' => array_map(fn (float $rate): float => $rate / 1e6, $rates ?? []),
            'median' => $reading?->median()->megabytes(),
            'claim' => $claim?->megabytes(),
            'floor' => $floor?->megabytes(),
            'floorMark' => $mark,
            'struck' => $reading === null || $reading->isTrusted() ? null : $reading->why(),
            'untold' => $reading === null || $blame === null ? null : self::untold($reading, $claim, $floor, $blame),
            'leftOut' => $reading?->isLeftOut === true ? $reading->outliers[0] ?? null : null,
        ];
    }

    /** Why it cannot be told here whose fault a shortfall is; null where nothing falls short, or it is the card's. */
    private static function untold(WayReading $reading, ?Rate $claim, ?Rate $floor, Attribution $blame): ?string
    {
        $isClaim = $claim !== null && $reading->standing === Standing::NotJudgedHere;
        $isFloor = $floor !== null && $reading->median()->isBelow($floor) && ! $blame->isTheCards($reading->median(), $floor);

        return $reading->isTrusted() && ($isClaim || $isFloor) ? $blame->excuse() : null;
    }
}
