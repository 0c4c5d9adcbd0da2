<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Report\PurchaseBook;
use App\Rules\DayUpToToday;
use App\Rules\PriceText;
use App\Rules\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Tally\Buying\Price;

/** A reader or a drive that was bought to save time, and what is expected of it. */
final class EnterPurchase extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $price = new PriceText(config()->string('tally.currency'));

        return [
            'tag' => ['bail', 'required', Rule::in(array_keys(PurchaseBook::kit()))],
            'price' => ['bail', 'required', $price],
            'hour' => ['bail', 'required', $price],
            'minutes' => ['bail', 'required', 'numeric', 'min:0', 'max:1440'],
            'aMonth' => ['bail', 'required', 'numeric', 'min:0', 'max:1000'],
            'on' => ['bail', 'required', new DayUpToToday()],
            'by' => ['bail', 'required', 'string', Text::upTo(80)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'tag' => '“:input” is no reader or drive of the kit. Choose one; enter it in the kit first where it is new.',
            'price.required' => 'No price is given. Write what it cost, such as 89 EUR.',
            'hour.required' => 'No value of an hour is given. Write what an hour of yours costs, such as 60 EUR.',
            'minutes' => '“:input” minutes would not do: give what it is to save of an offload, up to 1440.',
            'aMonth' => '“:input” offloads a month would not do: give a number up to 1000.',
            'by' => 'Nobody is named. Write who bought it.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isEmpty() && $this->price()->currency !== $this->hour()->currency) {
                $validator->errors()->add('hour', "Price and hour are of different currencies. Give both in {$this->price()->currency}.");
            }
        });
    }

    public function tag(): string
    {
        return $this->string('tag')->value();
    }

    public function price(): Price
    {
        return Price::parse($this->string('price')->value(), config()->string('tally.currency'));
    }

    public function hour(): Price
    {
        return Price::parse($this->string('hour')->value(), config()->string('tally.currency'));
    }

    /** @return float seconds of an offload */
    public function expected(): float
    {
        return 60 * $this->float('minutes');
    }

    public function on(): Carbon
    {
        return Carbon::parse($this->string('on')->value());
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
    }
}
