<?php

declare(strict_types=1);

namespace App\Models\Cards;

use App\Models\AsValue;
use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Support\Carbon;
use LogicException;
use Tally\Buying\Price;
use Tally\Buying\Quote;
use Tally\Buying\Tier;
use Tally\Label\Form;
use Tally\Quantity\Bytes;

/**
 * What somebody asked for a card of a certain kind.
 *
 * @property int $id
 * @property Form $form
 * @property int $tier floor in MB/s
 * @property Bytes $capacity
 * @property int $price minor units
 * @property string $currency
 * @property Carbon $quoted_on
 * @property string $source
 * @property string|null $model as its label says; null of a kind alone
 */
final class PriceQuote extends Row
{
    use WritesBookLines;

    protected $guarded = [];

    protected $casts = [
        'form' => Form::class,
        'tier' => 'integer',
        'capacity' => AsValue::class.':'.Bytes::class,
        'price' => 'integer',
        'quoted_on' => 'date',
    ];

    public function quote(): Quote
    {
        return new Quote(
            $this->form,
            Tier::tryFrom($this->tier) ?? throw new LogicException("No mark promises {$this->tier} MB/s."),
            $this->capacity,
            Price::of($this->price, $this->currency),
        );
    }
}
