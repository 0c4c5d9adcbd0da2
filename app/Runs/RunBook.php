<?php

declare(strict_types=1);

namespace App\Runs;

use App\Evidence\CardEvidence;
use App\Gear\OwnMeasurement;
use App\Models\Card;
use App\Models\Drive;
use App\Models\HeatReading;
use App\Models\Port;
use App\Models\Reader;
use App\Models\Run;
use App\Models\RunVoid;
use DateTimeImmutable;
use Illuminate\Support\Facades\DB;
use Tally\Chain\Path;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Quantity\Temperature;
use Tally\Reading\Copy\CopyReading;

/** What people write into the book of runs: figures from elsewhere, times by stopwatch, temperatures, and that a run counts no longer. */
final readonly class RunBook
{
    /** @param  non-empty-list<TypedReading>  $readings */
    public static function typed(Card $card, array $readings, Path $chain, ?Reader $reader, ?Port $port, DateTimeImmutable $on, string $by, ?string $note, ?string $beside): Run
    {
        $rates = fn (string $way): array => array_values(array_map(
            fn (TypedReading $one): float => $one->rate()->bytesPerSecond ?? 0.0,
            array_filter($readings, fn (TypedReading $one): bool => $one->way === $way),
        ));
        $sizes = array_unique(array_map(fn (TypedReading $one): int => $one->size->count ?? 0, $readings));
        $disagree = array_map(fn (TypedReading $one): string => $one->way, array_filter($readings, fn (TypedReading $one): bool => $one->accord()?->agrees() === false));
        $record = new SpeedRecord(Bytes::of(count($sizes) === 1 ? $sizes[0] : 0), $rates('write'), $rates('read'), true, 0, Bytes::of(0), array_values(array_unique($disagree)));

        return self::keep($card, RunKind::Speed, RunSource::Typed, $chain, $reader, $port, null, $on, $by, $note, $beside, $record->pack(), [
            'size' => $record->region->count, 'runs' => count($readings), 'typed' => array_map(fn (TypedReading $one): array => $one->pack(), $readings),
        ]);
    }

    public static function stopwatch(Card $card, CopyReading $copy, Path $chain, ?Reader $reader, ?Port $port, ?Drive $drive, DateTimeImmutable $on, string $by, ?string $note): Run
    {
        $record = new CopyRecord($copy->bytes, $copy->files, array_map(fn (Span $span): float => $span->seconds, $copy->laps));

        return self::keep($card, RunKind::Copy, RunSource::Stopwatch, $chain, $reader, $port, $drive, $on, $by, $note, null, $record->pack(), ['size' => $copy->bytes->count, 'runs' => 1]);
    }

    public static function heat(Run $run, ?Bytes $at, Temperature $temperature, ?string $by): void
    {
        HeatReading::query()->create(['run_id' => $run->id, 'at' => $at?->count, 'celsius' => $temperature->celsius, 'recorded_by' => $by]);
    }

    public static function void(Run $run, string $reason, string $by): void
    {
        DB::transaction(function () use ($run, $reason, $by): void {
            // Two people at once would void it twice.
            Run::query()->whereKey($run->id)->lockForUpdate()->first();
            if (! RunVoid::query()->where('run_id', $run->id)->whereNull('withdrawn')->exists()) {
                RunVoid::query()->create(['run_id' => $run->id, 'reason' => $reason, 'recorded_by' => $by]);
                OwnMeasurement::withdraw($run);
            }
            CardEvidence::refresh($run->card);
        });
    }

    public static function countAgain(Run $run, string $reason): void
    {
        DB::transaction(function () use ($run, $reason): void {
            RunVoid::query()->where('run_id', $run->id)->whereNull('withdrawn')->update(['withdrawn' => $reason]);
            OwnMeasurement::note($run->refresh());
            CardEvidence::refresh($run->card);
        });
    }

    /**
     * @param  array<string, mixed>  $result
     * @param  array<string, mixed>  $parameters
     */
    private static function keep(
        Card $card, RunKind $kind, RunSource $source, Path $chain, ?Reader $reader, ?Port $port, ?Drive $drive,
        DateTimeImmutable $on, string $by, ?string $note, ?string $beside, array $result, array $parameters,
    ): Run {
        return DB::transaction(function () use ($card, $kind, $source, $chain, $reader, $port, $drive, $on, $by, $note, $beside, $result, $parameters): Run {
            $run = Run::query()->create([
                'card_id' => $card->id, 'kind' => $kind, 'state' => RunState::Done, 'source' => $source, 'chain' => ChainRecord::pack($chain),
                'reader_id' => $reader?->id, 'cable_id' => $reader?->cable_id, 'port_id' => $port?->id, 'drive_id' => $drive?->id,
                'parameters' => $parameters, 'result' => $result, 'message' => $note, 'beside' => $beside, 'recorded_by' => $by, 'ended_at' => $on,
            ]);
            CardEvidence::refresh($card);

            return $run;
        });
    }
}
