<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Casts\AsEnumCollection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
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
 * @property string|null $matches the maker whose cards its double rate is for
 * @property int|null $adapter_id
 * @property-read Adapter|null $adapter that is in it
 */
final class ReaderSlot extends Row
{
    use WritesBookLines;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['buses' => AsEnumCollection::of(Bus::class)];
    }

    /** @return BelongsTo<Adapter, $this> */
    public function adapter(): BelongsTo
    {
        return $this->belongsTo(Adapter::class);
    }

    /** @return list<Bus> that a card can use in it: what the adapter passes, where one is in it */
    public function spoken(): array
    {
        return array_values(($this->adapter ?? $this)->buses->all());
    }
}
