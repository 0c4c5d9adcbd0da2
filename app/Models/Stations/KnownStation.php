<?php

declare(strict_types=1);

namespace App\Models\Stations;

use App\Models\Row;
use Illuminate\Support\Carbon;

/**
 * A station of another house whose result files count here, while nobody has revoked its key.
 *
 * @property int $id
 * @property string $name
 * @property string $key Ed25519, base64
 * @property string $added_by
 * @property string|null $revoked_by
 * @property Carbon|null $revoked_at
 * @property Carbon $created_at
 */
final class KnownStation extends Row
{
    protected $guarded = [];

    protected $casts = ['revoked_at' => 'datetime'];
}
