<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Casts\AsEnumCollection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Collection;
use Tally\Chain\HostLink;
use Tally\Label\Bus;

/**
 * @property int $id
 * @property string $tag
 * @property string $name
 * @property Collection<int, Bus> $buses
 * @property HostLink $uplink
 */
final class Reader extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['buses' => AsEnumCollection::of(Bus::class), 'uplink' => HostLink::class];
    }
}
