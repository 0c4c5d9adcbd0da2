<?php

declare(strict_types=1);

namespace App\Gear;

use App\Models\Cable;
use App\Models\Port;
use App\Models\Reader;
use App\Models\Run;
use App\Models\SlotKind;
use App\Runs\ChainRecord;
use App\Runs\RunKind;
use App\Runs\SpeedRecord;
use Illuminate\Support\Fluent;
use Tally\Quantity\Rate;
use Tally\Reading\WayReading;

/**
 * A run that went faster than practice says of a link has shown that the link carries more: the house's own measurement
 * wins from then on. That a run was slower shows nothing of the link, since the card may have been the limit.
 */
final readonly class OwnMeasurement
{
    public static function note(Run $run): void
    {
        $slot = $run->slot()->with(['reader.cable', 'port'])->first();
        if ($slot === null || $slot->kind !== SlotKind::Folder || $run->kind !== RunKind::Speed || ! $run->counts()) {
            return;
        }
        $reading = SpeedRecord::unpack($run->result ?? new Fluent)->read(ChainRecord::unpack($run->chain), null);
        $best = null;
        foreach ([$reading->write, $reading->read] as $way) {
            if ($way instanceof WayReading && $way->isTrusted() && ($best === null || $best->isBelow($way->median()))) {
                $best = $way->median();
            }
        }
        if ($best === null) {
            return;
        }
        foreach (array_filter([$slot->reader, $slot->reader->cable, $slot->port]) as $gear) {
            self::raise($gear, $best, "{$run->name()}, {$run->card->tag}, {$reading->covers()}");
        }
    }

    private static function raise(Reader|Cable|Port $gear, Rate $rate, string $how): void
    {
        if ($gear->asLink()->ceiling->usable()->isBelow($rate)) {
            $gear->forceFill(['measured' => $rate->bytesPerSecond, 'measured_how' => $how])->save();
        }
    }
}
