<?php

declare(strict_types=1);

namespace App\Models\Ledger;

use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Tally\Buying\Price;
use Tally\Offload\WorthIt;

/**
 * A reader or a drive that was bought to save time, and what was expected of it.
 *
 * @property int $id
 * @property string $tag of the kit
 * @property string $name
 * @property int $price in the smallest unit of its currency
 * @property string $currency
 * @property int $hour what an hour is worth, in the same
 * @property float $expected seconds that it was to save of an offload
 * @property float $a_month offloads that were expected a month
 * @property Carbon $bought_on
 * @property string $by
 * @property Carbon $written_at
 * @property-read Collection<int, PurchaseSaving> $savings
 */
final class Purchase extends Row
{
    use WritesBookLines;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['bought_on' => 'date', 'written_at' => 'datetime', 'expected' => 'float', 'a_month' => 'float'];

    /** @return HasMany<PurchaseSaving, $this> */
    public function savings(): HasMany
    {
        return $this->hasMany(PurchaseSaving::class);
    }

    public function cost(): Price
    {
        return Price::of($this->price, $this->currency);
    }

    /** As it was expected when it was bought. */
    public function hoped(): WorthIt
    {
        return new WorthIt($this->expected, $this->a_month, (float) $this->hour, (float) $this->price);
    }
}
