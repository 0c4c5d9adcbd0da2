<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Intake\Day;
use App\Rules\Quantity;
use DateTimeImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Tally\Buying\NotAPrice;
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
            'capacity' => ['required', 'string', 'max:40', Quantity::size()],
            'price' => ['required', 'string', 'max:40'],
            'quoted_on' => ['required', 'string', 'max:40'],
            'source' => ['required', 'string', 'max:80'],
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
            'source.required' => 'The source is empty. Write who asked that price.',
            'max' => 'This is longer than it can be. Shorten it.',
            'string' => 'Text was expected here.',
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                if ($validator->errors()->isNotEmpty()) {
                    return;
                }
                try {
                    $this->price();
                } catch (NotAPrice $fault) {
                    $validator->errors()->add('price', $fault->getMessage());
                }
                $day = $this->day();
                if ($day === null || $day > new DateTimeImmutable('tomorrow')) {
                    $validator
                        ->errors()
                        ->add(
                            'quoted_on',
                            "“{$this->string('quoted_on')}” is not a day up to today. Write it as 2026-11-25 or 25 Nov 2026.",
                        );
                }
            },
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
            'quoted_on' => $this->day()?->format('Y-m-d'),
            'source' => trim($this->string('source')->value()),
        ];
    }

    /** @throws NotAPrice */
    private function price(): Price
    {
        return Price::parse($this->string('price')->value(), config()->string('tally.currency'));
    }

    private function day(): ?DateTimeImmutable
    {
        return Day::read($this->string('quoted_on')->value());
    }
}
