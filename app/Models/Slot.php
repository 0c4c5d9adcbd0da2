<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A place at a station where a card goes: a reader at a port, and the folder it is mounted at.
 *
 * @property int $id
 * @property int $station_id
 * @property string $name
 * @property SlotKind $kind
 * @property string|null $path
 * @property-read Reader $reader
 * @property-read Port $port
 */
final class Slot extends Model
{
    protected $guarded = [];

    protected $casts = ['kind' => SlotKind::class];

    /** @return BelongsTo<Reader, $this> */
    public function reader(): BelongsTo
    {
        return $this->belongsTo(Reader::class);
    }

    /** @return BelongsTo<Port, $this> */
    public function port(): BelongsTo
    {
        return $this->belongsTo(Port::class);
    }
}
