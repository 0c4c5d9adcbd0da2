<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Tally\Chain\HostLink;

/**
 * @property int $id
 * @property int $host_id
 * @property string $name
 * @property HostLink $link
 * @property-read Host $host
 */
final class Port extends Model
{
    protected $guarded = [];

    protected $casts = ['link' => HostLink::class];

    /** @return BelongsTo<Host, $this> */
    public function host(): BelongsTo
    {
        return $this->belongsTo(Host::class);
    }
}
