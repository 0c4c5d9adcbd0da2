<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;

/** A label that is still being typed: what cannot be read yet counts as not printed. Nothing of it is kept. */
final class PreviewLabel extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['marks' => ['array', 'max:30']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['marks' => 'The marks were not sent as a list. Tick the ones that are printed.'];
    }

    public function label(): Label
    {
        $rate = fn (string $field): ?Rate => $this->quantity($field, Rate::parse(...));
        $times = rtrim(str_replace(',', '.', $this->text('times')), ' x×');
        $marks = array_map(fn (mixed $mark): ?Mark => is_string($mark) ? Mark::tryFrom($mark) : null, array_values($this->array('marks')));

        $capacity = $this->quantity('capacity', fn (string $text): Bytes => Bytes::parse($text, 'GB'));

        return new Label(
            Form::tryFrom($this->text('form')) ?? Form::Sd,
            $capacity ?? Bytes::of(0),
            // A family says nothing yet while there is no capacity to hold against it.
            $capacity === null ? null : Family::tryFrom($this->text('family')),
            Bus::tryFrom($this->text('bus')),
            array_values(array_filter($marks, fn (?Mark $mark): bool => $mark !== null)),
            $rate('read'),
            $rate('write'),
            is_numeric($times) && (float) $times > 0 ? (float) $times : null,
            in_array($this->text('contact_rows'), ['1', '2'], true) ? (int) $this->text('contact_rows') : null,
            $rate('sustained'),
        );
    }

    /**
     * @template T
     *
     * @param  Closure(string): T  $parse
     * @return T|null
     */
    private function quantity(string $field, Closure $parse): mixed
    {
        try {
            return $this->text($field) === '' ? null : $parse($this->text($field));
        } catch (NotAQuantity) {
            return null;
        }
    }

    private function text(string $field): string
    {
        $value = $this->input($field);

        return is_string($value) ? mb_substr($value, 0, 60) : '';
    }
}
