<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * A machine where cards are plugged in. Its runs wait in a queue of its own.
 *
 * @property int $id
 * @property string $name
 * @property int $host_id
 * @property Carbon|null $worker_seen_at
 */
final class Station extends Model
{
    /** A worker that said nothing for so many seconds is taken to be away. */
    private const AWAY_AFTER = 15;

    protected $guarded = [];

    protected $casts = ['worker_seen_at' => 'datetime'];

    /** The station of this machine. */
    public static function here(): ?self
    {
        return self::query()->where('name', config('tally.station'))->first();
    }

    /** @return HasMany<Slot, $this> */
    public function slots(): HasMany
    {
        return $this->hasMany(Slot::class);
    }

    public function queue(): string
    {
        return 'station-'.Str::slug($this->name);
    }

    public function hasWorker(): bool
    {
        return $this->worker_seen_at !== null && $this->worker_seen_at->isAfter(now()->subSeconds(self::AWAY_AFTER));
    }
}
