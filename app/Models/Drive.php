<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Tally\Chain\HostLink;

/**
 * @property int $id
 * @property string $tag
 * @property string $name
 * @property HostLink $link
 * @property float $write bytes a second, steady
 * @property float $read bytes a second
 * @property int $free bytes
 * @property int|null $host_id the host it is built into
 * @property-read Host|null $host
 */
final class Drive extends Model
{
    protected $guarded = [];

    protected $casts = ['link' => HostLink::class, 'write' => 'float', 'read' => 'float', 'free' => 'integer'];

    /** @return BelongsTo<Host, $this> */
    public function host(): BelongsTo
    {
        return $this->belongsTo(Host::class);
    }
}
