<?php

declare(strict_types=1);

namespace App\Stations;

use App\Models\Runs\RunState;
use App\Models\Stations\Slot;
use App\Models\Stations\Station;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Enters benches, and the places at them where cards go. */
final readonly class BenchBook
{
    public static function found(string $name, int $host): Station
    {
        // Two names that would share a queue would take each other's runs.
        $taken = Station::query()
            ->pluck('name')
            ->contains(fn (mixed $one): bool => is_string($one) && Str::slug($one) === Str::slug($name));
        if ($taken || Str::slug($name) === '') {
            throw ValidationException::withMessages([
                'station' => $taken
                    ? "A bench of that name is here already, or one so like it that both would be taken for one: “{$name}”."
                    : 'The name has no letter or digit. Write another one.',
            ]);
        }

        return Station::query()->create(['name' => $name, 'host_id' => $host]);
    }

    /** @param  array{name: string, kind: string, path: string|null, reader_id: int, port_id: int}  $columns */
    public static function keep(Station $station, ?Slot $slot, array $columns): Slot
    {
        return DB::transaction(function () use ($station, $slot, $columns): Slot {
            $kept = $slot === null ? new Slot(['station_id' => $station->id]) : self::free($slot, 'changed');
            if (
                $station
                    ->slots()
                    ->where('name', $columns['name'])
                    ->when($slot !== null, fn ($query) => $query->whereKeyNot($slot?->id))
                    ->exists()
            ) {
                throw ValidationException::withMessages([
                    'name' => "{$station->name} has a slot “{$columns['name']}” already. Call this one otherwise.",
                ]);
            }
            // What was seen there before says nothing of another place.
            $kept->forceFill([...$columns, ...$kept->path === $columns['path'] ? [] : ['seen' => null, 'seen_at' => null]])->save();

            return $kept;
        });
    }

    /** @throws ValidationException when runs hang on it */
    public static function remove(Slot $slot): void
    {
        try {
            DB::transaction(fn () => self::free($slot, 'taken out')->delete());
        } catch (QueryException $fault) {
            // MariaDB 1451: a row that others refer to cannot be deleted.
            throw ($fault->errorInfo[1] ?? null) === 1451
                ? ValidationException::withMessages([
                    'slot' => "Runs were made in {$slot->name}, and they keep it. Give it another name or path instead.",
                ])
                : $fault;
        }
    }

    /** @throws ValidationException while a run goes on or waits there */
    private static function free(Slot $slot, string $what): Slot
    {
        $locked = Slot::query()->whereKey($slot->id)->lockForUpdate()->firstOrFail();
        if ($locked->runs()->whereIn('state', RunState::going())->exists()) {
            throw ValidationException::withMessages([
                'slot' => "A run is going or waiting in {$slot->name}: it cannot be {$what} now. Let it end, or stop it.",
            ]);
        }

        return $locked;
    }
}
