<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\AsValue;
use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Tally\Chain\HostLink;
use Tally\Quantity\Rate;

/**
 * @property int $id
 * @property int $host_id
 * @property string $name
 * @property HostLink $link
 * @property string $controller ports with the same one share it
 * @property-read Host $host
 */
final class Port extends Row
{
    use MeasuredLink;
    use WritesBookLines;

    protected $guarded = [];

    protected $casts = ['link' => HostLink::class, 'measured' => AsValue::class.':'.Rate::class];

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
