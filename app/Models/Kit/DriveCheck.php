<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\Row;
use App\Models\Stations\Station;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A drive that is held against its lists, as somebody asked for.
 *
 * @property int $id
 * @property int $station_id where it is plugged in
 * @property string $drive its tag
 * @property string $folder on it
 * @property string $by
 * @property DriveCheckState $state
 * @property int $done bytes that were read
 * @property int $total bytes that are listed and there
 * @property int|null $pid of the worker that reads
 * @property string|null $message what came of it
 * @property list<string>|null $lines what was found, a line each
 * @property Carbon $asked_at
 * @property Carbon|null $ended_at
 * @property-read Station $station
 */
final class DriveCheck extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'state' => DriveCheckState::class,
        'done' => 'integer',
        'total' => 'integer',
        'lines' => 'array',
        'asked_at' => 'datetime',
        'ended_at' => 'datetime',
    ];

    /** @return BelongsTo<Station, $this> */
    public function station(): BelongsTo
    {
        return $this->belongsTo(Station::class);
    }
}
