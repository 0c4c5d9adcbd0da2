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

/** What a label says, what was measured, and where the chain ends. */
final readonly class ClaimPicture
{
    /**
     * @param  SpeedReading|null  $reading  null where nothing was measured
     * @param  string|null  $caption  which runs, over which region
     */
    public static function of(Label $label, ?SpeedReading $reading, ?SpeedRecord $speeds, ?string $caption): ClaimLineProps
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
            $mark?->floor(),
            $mark?->value,
            $reading?->blame,
        );

        return new ClaimLineProps(
            [$write, self::way('read', $reading?->read, $label->readClaim(), $speeds?->reads, null, null, $reading?->blame)],
            $wall === null || $wall->megabytes() > 1e6 ? null : $wall->megabytes(),
            ($path === null ? $own?->least() : $path->practice()?->low)?->megabytes(),
            $path === null ? "{$label->bus?->label()} bus" : $path->pinch()->name,
            $caption,
        );
    }

    /** @param  list<float>|null  $rates  bytes a second */
    private static function way(
        string $way,
        ?WayReading $reading,
        ?Rate $claim,
        ?array $rates,
        ?Rate $floor,
        ?string $mark,
        ?Attribution $blame,
    ): ClaimWayProps {
        return new ClaimWayProps(
            $way,
            array_map(fn (float $rate): float => $rate / 1e6, $rates ?? []),
            $reading?->median()->megabytes(),
            $claim?->megabytes(),
            $floor?->megabytes(),
            $mark,
            $reading === null || $reading->isTrusted() ? null : $reading->why(),
            $reading === null || $blame === null ? null : self::untold($reading, $claim, $floor, $blame),
            $reading?->isLeftOut === true ? $reading->outliers[0] ?? null : null,
        );
    }

    /** Why it cannot be told here whose fault a shortfall is; null where nothing falls short, or it is the card's. */
    private static function untold(WayReading $reading, ?Rate $claim, ?Rate $floor, Attribution $blame): ?string
    {
        $isClaim = $claim !== null && $reading->standing === Standing::NotJudgedHere;
        $isFloor = $floor !== null && $reading->median()->isBelow($floor) && ! $blame->isTheCards($reading->median(), $floor);

        return $reading->isTrusted() && ($isClaim || $isFloor) ? $blame->excuse() : null;
    }
}
