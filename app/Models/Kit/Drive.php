<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\AsValue;
use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Tally\Chain\HostLink;
use Tally\Offload\Question\DriveKind;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/**
 * @property int $id
 * @property string $tag
 * @property string $name
 * @property HostLink $link
 * @property Bytes|null $capacity
 * @property DriveKind $kind
 * @property Bytes|null $cache what it takes fast before it falls to its steady speed
 * @property Rate|null $cache_write while that lasts
 * @property Rate $write steady
 * @property Rate $read
 * @property Bytes $free
 * @property int|null $host_id the host it is built into
 * @property Carbon|null $gone_on since when it is lost or out of service
 * @property string|null $gone_why
 * @property string|null $gone_by
 * @property-read Host|null $host
 */
final class Drive extends Row
{
    use MeasuredLink;
    use WritesBookLines;

    protected $guarded = [];

    protected $casts = [
        'link' => HostLink::class,
        'measured' => AsValue::class.':'.Rate::class,
        'write' => AsValue::class.':'.Rate::class,
        'read' => AsValue::class.':'.Rate::class,
        'free' => AsValue::class.':'.Bytes::class,
        'capacity' => AsValue::class.':'.Bytes::class,
        'kind' => DriveKind::class,
        'cache' => AsValue::class.':'.Bytes::class,
        'cache_write' => AsValue::class.':'.Rate::class,
        'gone_on' => 'date',
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
