<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\AsValue;
use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;
use Tally\Chain\HostLink;
use Tally\Quantity\Rate;

/**
 * A hub or dock: its ports share its uplink, and the port of the host that it sits in.
 *
 * @property int $id
 * @property string $tag
 * @property string $name
 * @property HostLink $uplink
 * @property int|null $port_id the port it sits in; null while it is in no port
 * @property-read Collection<int, HubPort> $ports
 * @property-read Port|null $port
 */
final class Hub extends Row
{
    use MeasuredLink;
    use WritesBookLines;

    protected $guarded = [];

    protected $casts = ['uplink' => HostLink::class, 'measured' => AsValue::class.':'.Rate::class];

    /** @return HasMany<HubPort, $this> */
    public function ports(): HasMany
    {
        return $this->hasMany(HubPort::class)->orderBy('id');
    }

    /** @return BelongsTo<Port, $this> */
    public function port(): BelongsTo
    {
        return $this->belongsTo(Port::class);
    }

    public function kindOfLink(): HostLink
    {
        return $this->uplink;
    }
}
