<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;
use Tally\Label\Bus;

/**
 * @property int $id
 * @property string $tag
 * @property string $name
 * @property-read Collection<int, CameraSlot> $slots
 * @property-read Collection<int, CameraMode> $modes
 */
final class Camera extends Row
{
    use WritesBookLines;

    protected $guarded = [];

    /** @return HasMany<CameraMode, $this> */
    public function modes(): HasMany
    {
        return $this->hasMany(CameraMode::class)->orderBy('id');
    }

    /** @return list<Bus> what its slots speak */
    public function buses(): array
    {
        return array_values(
            $this->slots
                ->flatMap(fn (CameraSlot $slot): array => $slot->buses->all())
                ->unique()
                ->all(),
        );
    }

    /** @return HasMany<CameraSlot, $this> */
    public function slots(): HasMany
    {
        return $this->hasMany(CameraSlot::class)->orderBy('id');
    }
}
