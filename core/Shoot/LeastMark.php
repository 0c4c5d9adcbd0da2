<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Label\Bus;
use Tally\Label\Mark;

/** The least mark that opens a mode, and above which more buys nothing. Source of the floors: see Mark. */
final readonly class LeastMark
{
    /**
     * @param  list<Bus>  $slot  what the slot speaks
     * @return Mark|null null where no mark of such a card promises enough
     */
    public static function of(Mode $mode, array $slot): ?Mark
    {
        $least = null;
        foreach (Mark::sold() as $mark) {
            $isEnough = ! $mark->floor()->isBelow($mode->fill->rate) && self::opens($mode->demand, $mark);
            if ($isEnough && self::canBeIn($mark, $slot) && ($least === null || $mark->floor()->isBelow($least->floor()))) {
                $least = $mark;
            }
        }

        return $least;
    }

    /**
     * The least mark that opens all modes that any mark opens: more buys nothing there.
     *
     * @param  list<Mode>  $modes
     * @param  list<Bus>  $slot
     */
    public static function ofAll(array $modes, array $slot): ?Mark
    {
        $most = null;
        foreach ($modes as $mode) {
            $mark = self::of($mode, $slot);
            $most = $mark !== null && ($most === null || $most->floor()->isBelow($mark->floor())) ? $mark : $most;
        }

        return $most;
    }

    private static function opens(Demand $demand, Mark $mark): bool
    {
        return ! $demand->refuses || (
            ($demand->mark === null || ! $mark->floor()->isBelow($demand->mark->floor())) &&
            (! $demand->isGuaranteed || $mark->isGuarantee())
        );
    }

    /**
     * SD marks stand on SD cards, VPG on the CompactFlash family; each only where the slot speaks a bus that it is defined over.
     *
     * @param  list<Bus>  $slot
     */
    private static function canBeIn(Mark $mark, array $slot): bool
    {
        foreach ($slot as $bus) {
            foreach ([$bus, ...$bus->speaks()] as $spoken) {
                $isSd = $spoken->forms()[0]->isSecureDigital();
                if ($isSd === $mark->isSecureDigital() && (! $isSd || $mark->isDefinedOver($spoken))) {
                    return true;
                }
            }
        }

        return false;
    }
}
