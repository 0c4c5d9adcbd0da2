<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\Row;
use Tally\Chain\HostLink;

/**
 * @property int $id
 * @property int $hub_id
 * @property string $name
 * @property HostLink $link
 */
final class HubPort extends Row
{
    protected $guarded = [];

    protected $casts = ['link' => HostLink::class];
}
