<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\Row;
use Illuminate\Database\Eloquent\Casts\AsEnumCollection;
use Illuminate\Support\Collection;
use Tally\Label\Bus;

/**
 * A slot of a reader. Slots on the same lane share it.
 *
 * @property int $id
 * @property int $reader_id
 * @property string $name
 * @property Collection<int, Bus> $buses
 * @property string $lane
 */
final class ReaderSlot extends Row
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['buses' => AsEnumCollection::of(Bus::class)];
    }
}
