<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\Row;
use App\Models\Stations\Station;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A computer with ports.
 *
 * @property int $id
 * @property string $name
 * @property int|null $preview_files of a copy that built previews, timed
 * @property float|null $preview_seconds that it took
 * @property string|null $preview_how
 */
final class Host extends Row
{
    use WritesBookLines;

    protected $guarded = [];

    protected $casts = ['preview_files' => 'integer', 'preview_seconds' => 'float'];

    /** @return float|null files a second that an import with previews gets through; null where nobody timed one */
    public function previews(): ?float
    {
        $seconds = $this->preview_seconds ?? 0.0;

        return $this->preview_files === null || $seconds <= 0.0 ? null : $this->preview_files / $seconds;
    }

    /** @return HasMany<Port, $this> */
    public function ports(): HasMany
    {
        return $this->hasMany(Port::class)->orderBy('id');
    }

    /** @return HasMany<Station, $this> */
    public function stations(): HasMany
    {
        return $this->hasMany(Station::class)->orderBy('name');
    }
}
