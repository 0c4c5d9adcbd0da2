<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\Row;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;

/**
 * @property int $id
 * @property string $tag
 * @property string $name
 * @property-read Collection<int, CameraSlot> $slots
 */
final class Camera extends Row
{
    protected $guarded = [];

    /** @return HasMany<CameraSlot, $this> */
    public function slots(): HasMany
    {
        return $this->hasMany(CameraSlot::class)->orderBy('id');
    }
}
