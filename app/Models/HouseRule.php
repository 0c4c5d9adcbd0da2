<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * What the house goes by instead of the default, and who said so.
 *
 * @property string $name
 * @property string $value
 * @property string $by
 * @property Carbon $changed_at
 * @property string|null $why
 */
final class HouseRule extends Row
{
    use WritesBookLines;

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'name';

    protected $keyType = 'string';

    protected $guarded = [];

    protected $casts = ['changed_at' => 'datetime'];
}
