<?php

declare(strict_types=1);

namespace App\Models\Stations;

use App\Models\AsValue;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Row;
use App\Models\Runs\Run;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A place at a station where a card goes: a reader at a port, and the folder it is mounted at.
 *
 * @property int $id
 * @property int $station_id
 * @property string $name
 * @property SlotKind $kind
 * @property string|null $path
 * @property Seen|null $seen what its station saw in it last
 * @property Carbon|null $seen_at
 * @property-read Reader $reader
 * @property-read Port $port
 * @property-read Station $station
 */
final class Slot extends Row
{
    protected $guarded = [];

    protected $casts = ['kind' => SlotKind::class, 'seen' => AsValue::class.':'.Seen::class, 'seen_at' => 'datetime'];

    /** @return BelongsTo<Reader, $this> */
    public function reader(): BelongsTo
    {
        return $this->belongsTo(Reader::class);
    }

    /** @return BelongsTo<Station, $this> */
    public function station(): BelongsTo
    {
        return $this->belongsTo(Station::class);
    }

    /** @return HasMany<Run, $this> */
    public function runs(): HasMany
    {
        return $this->hasMany(Run::class);
    }

    /** @return BelongsTo<Port, $this> */
    public function port(): BelongsTo
    {
        return $this->belongsTo(Port::class);
    }
}
