<?php

declare(strict_types=1);

namespace App\Gear;

use App\Models\Kit\Cable;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Runs\Run;
use App\Models\Stations\SlotKind;
use Illuminate\Database\Eloquent\Builder;
use Tally\Evidence\SpeedReading;
use Tally\Quantity\Rate;
use Tally\Record\RunKind;

/**
 * What a run shows of the gear it went over. One that went faster than practice says of a link has shown that the link
 * carries more: the house's own measurement wins from then on. That a run was slower shows nothing of the link, since the
 * card may have been the limit.
 */
final readonly class OwnMeasurement
{
    public static function note(Run $run): void
    {
        if ($run->kind !== RunKind::Speed) {
            return;
        }
        $best = self::fastest($run);
        $run->forceFill([
            'carried' => $best?->bytesPerSecond,
            'carried_over' => $best === null ? null : $run->chain->host?->ceiling->nominal->bytesPerSecond,
        ])->save();
        $slot = $run
            ->slot()
            ->with(['reader.cable', 'port'])
            ->first();
        if ($best === null || $slot === null || $slot->kind !== SlotKind::Folder || ! $run->counts()) {
            return;
        }
        foreach (array_filter([$slot->reader, $slot->reader->cable, $slot->port]) as $gear) {
            self::raise($gear, $best, $run);
        }
    }

    /** A run that counts no longer has shown nothing: what hung on it is reckoned anew from the others. */
    public static function withdraw(Run $run): void
    {
        foreach ([Reader::class, Cable::class, Port::class] as $gear) {
            $gear::query()
                ->where('measured_run_id', $run->id)
                ->update(['measured' => null, 'measured_how' => null, 'measured_run_id' => null]);
        }
        Run::query()
            ->with(['card', 'void', 'slot'])
            ->where('kind', RunKind::Speed)
            ->whereKeyNot($run->id)
            ->whereNotNull('result')
            ->where(fn (Builder $same): Builder => $same->where('reader_id', $run->reader_id)->orWhere('port_id', $run->port_id))
            ->orderBy('id')
            ->lazy()
            ->each(self::note(...));
    }

    /** The fastest trusted median of a speed run; null where nobody named the reader. */
    private static function fastest(Run $run): ?Rate
    {
        $record = $run->speeds();
        if ($record === null || ! $run->chain->isNamed()) {
            return null;
        }
        $best = null;
        foreach (SpeedReading::of($record, $run->chain, $run->card->label(), $run->isTyped())->ways() as $way) {
            $best = $way->isTrusted() && ($best === null || $best->isBelow($way->median())) ? $way->median() : $best;
        }

        return $best;
    }

    private static function raise(Reader|Cable|Port $gear, Rate $rate, Run $run): void
    {
        if ($gear->asLink()->ceiling->usable()->isBelow($rate)) {
            $gear
                ->forceFill([
                    'measured' => $rate->bytesPerSecond,
                    'measured_how' => "{$run->name()}, {$run->card->tag}, {$run->speeds()?->covers()}",
                    'measured_run_id' => $run->id,
                ])
                ->save();
        }
    }
}
