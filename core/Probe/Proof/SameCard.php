<?php

declare(strict_types=1);

namespace Tally\Probe\Proof;

use Tally\Device\Device;
use Tally\Device\Fault\CannotResume;
use Tally\Device\Fault\EndsRun;
use Tally\Device\Fault\UnusablePath;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Pattern\TestPattern;
use Tally\Probe\EarlyCheck\Spots;

/** Before a proof goes on: whether the card that is in now carries the stamps of its run. */
final readonly class SameCard
{
    private const LENGTH = 4096;

    /**
     * @param  list<int>  $places  addresses that were surely written by then; none where nothing was yet
     *
     * @throws UnusablePath|EndsRun when it is another, or was written to since
     */
    public static function mustBe(Device $device, TestPattern $imprint, array $places): void
    {
        if ($device->size()->count < $imprint->size->count) {
            throw CannotResume::otherCard("it has {$device->size()->decimal()}, and the proof was of {$imprint->size->decimal()}");
        }
        if ($places === []) {
            return;
        }
        $device->forget();
        $spots = new Spots($device, $imprint);
        $ours = 0;
        foreach ($places as $place) {
            $patches = $spots->look($place, self::LENGTH);
            // An echo is a stamp of this run too, of a card that starts over.
            $isOurs = fn (Patch $patch): bool => in_array($patch->class, [BlockClass::Holds, BlockClass::Echoes], true);
            $ours += array_filter($patches, $isOurs) === [] ? 0 : 1;
        }
        if ($ours === 0) {
            throw CannotResume::otherCard('none of the stamps of its run is on it');
        }
    }
}
