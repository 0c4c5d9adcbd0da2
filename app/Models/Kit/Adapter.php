<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\AsValue;
use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Casts\AsEnumCollection;
use Illuminate\Support\Collection;
use Tally\Chain\Ceiling;
use Tally\Label\Bus;
use Tally\Quantity\Rate;

/**
 * What goes between a card and a slot. A sleeve with one row of contacts passes UHS-I, whatever card and slot could do.
 *
 * @property int $id
 * @property string $tag
 * @property string $name
 * @property Collection<int, Bus> $buses that it passes
 * @property Rate|null $measured the most that was seen to come through it
 * @property string|null $measured_how
 */
final class Adapter extends Row
{
    use WritesBookLines;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['buses' => AsEnumCollection::of(Bus::class), 'measured' => AsValue::class.':'.Rate::class];
    }

    /** Of a bus through it: the house's own measurement wins once it exists. */
    public function ceiling(Bus $bus): Ceiling
    {
        return $this->measured === null
            ? $bus->ceiling()
            : $bus->ceiling()->measuredAs($this->measured, $this->measured_how ?? 'measured here');
    }
}
