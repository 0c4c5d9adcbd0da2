<?php

declare(strict_types=1);

namespace App\Runs\Filing;

use App\Evidence\CardEvidence;
use App\Gear\OwnMeasurement;
use App\Models\Cards\Card;
use App\Models\Kit\Drive;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Runs\HeatReading;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Runs\RunVoid;
use DateTimeImmutable;
use Illuminate\Support\Facades\DB;
use Tally\Measured\Chain;
use Tally\Measured\Way;
use Tally\Quantity\Bytes;
use Tally\Quantity\Temperature;
use Tally\Reading\Copy\CopyReading;
use Tally\Record\CopyParameters;
use Tally\Record\CopyRecord;
use Tally\Record\Parameters;
use Tally\Record\RunKind;
use Tally\Record\RunSource;
use Tally\Record\SpeedRecord;
use Tally\Record\TypedParameters;
use Tally\Record\TypedReading;

/** What people write into the book of runs: figures from elsewhere, times by stopwatch, temperatures, and that a run counts no longer. */
final readonly class RunBook
{
    /** @param  non-empty-list<TypedReading>  $readings */
    public static function typed(
        Card $card,
        array $readings,
        Chain $chain,
        ?Reader $reader,
        ?Port $port,
        DateTimeImmutable $on,
        string $by,
        ?string $note,
        ?string $beside,
    ): Run {
        $rates = fn (Way $way): array => array_values(
            array_map(
                fn (TypedReading $one): float => $one->rate()->bytesPerSecond ?? 0.0,
                array_filter($readings, fn (TypedReading $one): bool => $one->way === $way),
            ),
        );
        $sizes = array_unique(array_map(fn (TypedReading $one): int => $one->size->count ?? 0, $readings));
        $disagree = array_map(
            fn (TypedReading $one): string => $one->way->value,
            array_filter($readings, fn (TypedReading $one): bool => $one->accord()?->agrees() === false),
        );
        $record = new SpeedRecord(
            Bytes::of(count($sizes) === 1 ? $sizes[0] : 0),
            $rates(Way::Write),
            $rates(Way::Read),
            true,
            wrong: 0,
            from: Bytes::of(0),
            disagree: array_values(array_unique($disagree)),
        );
        $run = self::begin(
            $card,
            RunKind::Speed,
            RunSource::Typed,
            $chain,
            reader: $reader,
            port: $port,
            parameters: new TypedParameters($readings),
            by: $by,
        );
        $run->beside = $beside;

        return ResultFiling::file($run, RunState::Done, $record, message: $note, ended: $on);
    }

    public static function stopwatch(
        Card $card,
        CopyReading $copy,
        Chain $chain,
        ?Reader $reader,
        ?Port $port,
        ?Drive $drive,
        DateTimeImmutable $on,
        string $by,
        ?string $note,
    ): Run {
        $run = self::begin(
            $card,
            RunKind::Copy,
            RunSource::Stopwatch,
            $chain,
            reader: $reader,
            port: $port,
            parameters: new CopyParameters(),
            by: $by,
        );
        $run->drive_id = $drive?->id;

        return ResultFiling::file($run, RunState::Done, CopyRecord::timed($copy), message: $note, ended: $on);
    }

    public static function heat(Run $run, ?Bytes $at, Temperature $temperature, ?string $by): void
    {
        HeatReading::query()->create(['run_id' => $run->id, 'at' => $at?->count, 'celsius' => $temperature->celsius, 'recorded_by' => $by]);
    }

    /** @param  string|null  $revoked  the key of its signer, where it counts no longer because that was revoked */
    public static function void(Run $run, string $reason, string $by, ?string $revoked = null): void
    {
        DB::transaction(function () use ($run, $reason, $by, $revoked): void {
            // Two people at once would void it twice.
            Run::query()->whereKey($run->id)->lockForUpdate()->first();
            if (! RunVoid::query()->where('run_id', $run->id)->whereNull('withdrawn')->exists()) {
                RunVoid::query()->create([
                    'run_id' => $run->id,
                    'reason' => mb_substr($reason, 0, 300),
                    'recorded_by' => mb_substr($by, 0, 80),
                    'revoked_key' => $revoked,
                ]);
                OwnMeasurement::withdraw($run);
            }
            CardEvidence::refreshAround($run);
        });
    }

    public static function countAgain(Run $run, string $reason): void
    {
        DB::transaction(function () use ($run, $reason): void {
            RunVoid::query()
                ->where('run_id', $run->id)
                ->whereNull('withdrawn')
                ->update(['withdrawn' => $reason]);
            OwnMeasurement::note($run->refresh());
            CardEvidence::refreshAround($run);
        });
    }

    private static function begin(
        Card $card,
        RunKind $kind,
        RunSource $source,
        Chain $chain,
        ?Reader $reader,
        ?Port $port,
        Parameters $parameters,
        string $by,
    ): Run {
        return new Run([
            'card_id' => $card->id,
            'kind' => $kind,
            'source' => $source,
            'chain' => $chain,
            'reader_id' => $reader?->id,
            'cable_id' => $reader?->cable_id,
            'port_id' => $port?->id,
            'parameters' => $parameters,
            'recorded_by' => $by,
        ]);
    }
}
