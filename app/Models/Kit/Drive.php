<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\Row;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Tally\Chain\HostLink;

/**
 * @property int $id
 * @property string $tag
 * @property string $name
 * @property HostLink $link
 * @property int|null $capacity bytes
 * @property bool $spinning
 * @property int|null $cache bytes it takes fast before it falls to its steady speed
 * @property float|null $cache_write bytes a second while they last
 * @property float $write bytes a second, steady
 * @property float $read bytes a second
 * @property int $free bytes
 * @property int|null $host_id the host it is built into
 * @property-read Host|null $host
 */
final class Drive extends Row
{
    use MeasuredLink;

    protected $guarded = [];

    protected $casts = [
        'link' => HostLink::class,
        'measured' => 'float',
        'write' => 'float',
        'read' => 'float',
        'free' => 'integer',
        'capacity' => 'integer',
        'spinning' => 'boolean',
        'cache' => 'integer',
        'cache_write' => 'float',
    ];

    /** @return BelongsTo<Host, $this> */
    public function host(): BelongsTo
    {
        return $this->belongsTo(Host::class);
    }

    public function kindOfLink(): HostLink
    {
        return $this->link;
    }
}
