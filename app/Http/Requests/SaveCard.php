<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Rules\Quantity;
use App\Models\Card;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** A card's label as typed. */
final class SaveCard extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $card = $this->route('card');

        return [
            'tag' => ['required', 'string', 'max:20', 'regex:/^[A-Za-z0-9][A-Za-z0-9-]*$/', Rule::unique('cards', 'tag')->ignore($card instanceof Card ? $card->id : null)],
            'name' => ['required', 'string', 'max:80'],
            'form' => ['required', Rule::enum(Form::class)],
            'capacity' => ['required', 'string', 'max:40', Quantity::size()],
            'family' => ['nullable', Rule::enum(Family::class)],
            'bus' => ['nullable', Rule::enum(Bus::class)],
            'marks' => ['array', 'max:12'],
            'marks.*' => [Rule::enum(Mark::class), 'distinct'],
            'read' => ['nullable', 'string', 'max:40', Quantity::rate()],
            'write' => ['nullable', 'string', 'max:40', Quantity::rate()],
            'sustained' => ['nullable', 'string', 'max:40', Quantity::rate()],
            'times' => ['nullable', 'string', 'max:20', 'regex:/^\d{1,5}(?:[.,]\d)?\s*[x×]?$/u'],
            'contact_rows' => ['nullable', 'in:1,2'],
            'footage' => ['nullable', 'string', 'max:40', Quantity::amount()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'tag.required' => 'The tag is empty. Give the card a short code, such as QS-014.',
            'tag.regex' => 'The tag “:input” has a character that labels and addresses cannot carry. Use letters, digits and hyphens.',
            'tag.max' => 'The tag is longer than 20 characters. Use a short code, such as QS-014.',
            'tag.unique' => 'Another card is already tagged “:input”. Choose another code.',
            'name.required' => 'The name is empty. Write what is printed on the card, such as its maker and series.',
            'name.max' => 'The name is longer than 80 characters. Keep to maker and series.',
            'form.required' => 'Choose the form of the card.',
            'form' => 'The form “:input” is not one of the list. Choose one.',
            'capacity.required' => 'The capacity is empty. Write what is printed, such as 128 GB.',
            'family' => 'The family “:input” is not one of the list. Choose one, or none.',
            'bus' => 'The bus “:input” is not one of the list. Choose one, or none.',
            'marks' => 'The marks were not sent as a list. Tick the ones that are printed.',
            'marks.*.distinct' => 'The mark “:input” was given twice.',
            'marks.*' => 'The mark “:input” is not one of the list. Tick the ones that are printed.',
            'times.regex' => 'The ×-rating “:input” is not a number with an x, such as 1066x.',
            'contact_rows.in' => 'Rows of contacts are one or two; “:input” was given.',
            'max' => 'This is longer than a label can be. Shorten it.',
            'string' => 'Text was expected here.',
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $form = Form::from($this->string('form')->value());
            $bus = Bus::tryFrom($this->string('bus')->value());
            if ($bus !== null && ! in_array($form, $bus->forms(), true)) {
                $validator->errors()->add('bus', "{$bus->label()} does not exist on {$form->label()} cards. Choose another bus, or none.");
            }
            if ($this->filled('family') && ! $form->isSecureDigital()) {
                $validator->errors()->add('family', "{$form->label()} cards have no family mark. Leave it empty.");
            }
            $capacity = Bytes::parse($this->string('capacity')->value(), 'GB');
            $footage = Bytes::parse($this->filled('footage') ? $this->string('footage')->value() : '0', 'GB');
            if ($footage->count > $capacity->count) {
                $validator->errors()->add('footage', "{$footage->decimal()} of footage cannot be on a card of {$capacity->decimal()}.");
            }
        }];
    }

    /** @return array<string, mixed> columns of the card */
    public function columns(): array
    {
        $rate = fn (string $field): ?float => $this->filled($field) ? Rate::parse($this->string($field)->value())->bytesPerSecond : null;
        $choice = fn (string $field): ?string => $this->filled($field) ? $this->string($field)->value() : null;

        return [
            'tag' => strtoupper($this->string('tag')->value()),
            'name' => $this->string('name')->value(),
            'form' => $choice('form'),
            'capacity' => Bytes::parse($this->string('capacity')->value(), 'GB')->count,
            'family' => $choice('family'),
            'bus' => $choice('bus'),
            'marks' => array_values($this->array('marks')),
            'read' => $rate('read'),
            'write' => $rate('write'),
            'sustained' => $rate('sustained'),
            'times' => $this->filled('times') ? (float) str_replace(',', '.', $this->string('times')->value()) : null,
            'contact_rows' => $this->filled('contact_rows') ? $this->integer('contact_rows') : null,
            'footage' => $this->filled('footage') ? Bytes::parse($this->string('footage')->value(), 'GB')->count : 0,
        ];
    }
}
