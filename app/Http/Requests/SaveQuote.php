<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\When;
use App\Rules\Day;
use App\Rules\DayUpToToday;
use App\Rules\PriceText;
use App\Rules\Quantity;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tally\Buying\Price;
use Tally\Buying\Tier;
use Tally\Label\Form;
use Tally\Quantity\Bytes;

/** A price that somebody asked for a card of a certain kind. */
final class SaveQuote extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'form' => ['required', Rule::enum(Form::class)],
            'tier' => ['required', Rule::in(array_map(fn (Tier $tier): string => (string) $tier->floor, Tier::all()))],
            'capacity' => ['required', Quantity::size()],
            'price' => ['required', new PriceText(config()->string('tally.currency'))],
            'quoted_on' => ['bail', 'required', new DayUpToToday()],
            'source' => ['required', 'string', 'max:80'],
            'model' => ['nullable', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'form' => 'The form “:input” is not one of the list. Choose one.',
            'tier' => 'The mark “:input” is not one of the list. Choose the highest that is printed, or none.',
            'capacity.required' => 'The capacity is empty. Write what is printed, such as 128 GB.',
            'price.required' => 'The price is empty. Write what was asked, such as 24.90 EUR.',
            'quoted_on.required' => 'The day is empty. Write when it was asked, such as 2026-11-25.',
            'model' => 'The model is longer than 80 characters, or no text. Write it as its label says, or leave it out.',
            'source.required' => 'The source is empty. Write who asked that price.',
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        return [
            'form' => $this->string('form')->value(),
            'tier' => $this->integer('tier'),
            'capacity' => Bytes::parse($this->string('capacity')->value(), 'GB')->count,
            'price' => $this->price()->minor,
            'currency' => $this->price()->currency,
            'quoted_on' => Day::read($this->string('quoted_on')->value())?->format(When::ISO_DAY),
            'source' => trim($this->string('source')->value()),
            'model' => $this->filled('model') ? trim($this->string('model')->value()) : null,
        ];
    }

    private function price(): Price
    {
        return Price::parse($this->string('price')->value(), config()->string('tally.currency'));
    }
}
