<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\Row;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A computer with ports.
 *
 * @property int $id
 * @property string $name
 */
final class Host extends Row
{
    protected $guarded = [];

    /** @return HasMany<Port, $this> */
    public function ports(): HasMany
    {
        return $this->hasMany(Port::class)->orderBy('id');
    }
}
