<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use App\Models\Runs\Run;
use App\Models\Runs\RunVoid;
use App\Models\Stations\KnownStation;
use App\Runs\Filing\RunBook;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * The stations of other houses that this one knows. A key that is revoked takes what it signed out of every verdict; trusted again,
 * it brings that back. The runs stay in sight all the while.
 */
final readonly class KnownStations
{
    /**
     * @param  string  $line  as `tally:key` of that station prints it: Bench A=base64…
     *
     * @throws ValidationException
     */
    public static function trust(string $line, string $by): KnownStation
    {
        [$name, $key] = array_map(trim(...), [...explode('=', $line, 2), '']);
        if ($name === '' || mb_strlen($name) > 80 || strlen((string) base64_decode($key, true)) !== SODIUM_CRYPTO_SIGN_PUBLICKEYBYTES) {
            throw ValidationException::withMessages([
                'known' => 'That is no line of a station: give it as php artisan tally:key of theirs prints it, Bench of friends=…, '.
                    'with its key to the last letter.',
            ]);
        }
        $known = KnownStation::query()->where('key', $key)->first();
        if ($key === StationKeys::own() || ($known !== null && $known->revoked_at === null)) {
            throw ValidationException::withMessages([
                'known' => 'That key is known here already, as '.($known->name ?? 'this station’s own').'.',
            ]);
        }

        return $known === null
            ? KnownStation::query()->create(['name' => $name, 'key' => $key, 'added_by' => $by])
            : self::trustAgain($known, $by);
    }

    public static function trustAgain(KnownStation $station, string $by): KnownStation
    {
        DB::transaction(function () use ($station, $by): void {
            $station->forceFill(['revoked_at' => null, 'revoked_by' => null])->save();
            foreach (RunVoid::query()->with('run')->where('revoked_key', $station->key)->whereNull('withdrawn')->get() as $void) {
                RunBook::countAgain($void->run, "{$station->name} is trusted again by {$by}.");
            }
        });

        return $station;
    }

    public static function revoke(KnownStation $station, string $by): void
    {
        DB::transaction(function () use ($station, $by): void {
            $station->forceFill(['revoked_at' => now(), 'revoked_by' => $by])->save();
            // One that somebody had voided before for another reason stays so afterwards.
            $counting = Run::query()->where('signed_by', $station->key)->whereDoesntHave('void');
            foreach ($counting->get() as $run) {
                RunBook::void($run, "The key of {$station->name}, which signed it, was revoked.", $by, $station->key);
            }
        });
    }
}
