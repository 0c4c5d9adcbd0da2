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
use Illuminate\Contracts\Database\Eloquent\Builder;
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

    /** A run that counts no longer has shown nothing: what hung on it is reckoned anew from the others. */
    public static function withdraw(Run $run): void
    {
        foreach (array_filter([$run->reader()->first(), $run->cable()->first(), $run->port()->first()]) as $gear) {
            if (str_starts_with($gear->measured_how ?? '', "{$run->name()}, ")) {
                $gear->forceFill(['measured' => null, 'measured_how' => null])->save();
            }
        }
        Run::query()->where('kind', RunKind::Speed)->whereKeyNot($run->id)->whereNotNull('result')
            ->where(fn (Builder $same): Builder => $same->where('reader_id', $run->reader_id)->orWhere('port_id', $run->port_id))
            ->orderBy('id')->lazy()->each(self::note(...));
    }

    private static function raise(Reader|Cable|Port $gear, Rate $rate, string $how): void
    {
        if ($gear->asLink()->ceiling->usable()->isBelow($rate)) {
            $gear->forceFill(['measured' => $rate->bytesPerSecond, 'measured_how' => $how])->save();
        }
    }
}
