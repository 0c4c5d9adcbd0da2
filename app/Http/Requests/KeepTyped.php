<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Quantity;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Tally\Record\TypedReading;

/** Speeds that were measured elsewhere, as somebody types them in. */
final class KeepTyped extends FormRequest
{
    use NamesChain;
    use SignedAndDated;

    private const MOST = 50;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...$this->chainRules(),
            ...$this->signedRules(),
            'readings' => ['required', 'array', 'list', 'max:'.self::MOST],
            'readings.*' => ['array:way,size,time,speed'],
            'readings.*.way' => ['required', Rule::in(['write', 'read'])],
            'readings.*.size' => ['nullable', Quantity::size()],
            'readings.*.time' => ['nullable', Quantity::span()],
            'readings.*.speed' => ['nullable', Quantity::rate()],
            'beside' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->chainMessages(),
            ...$this->signedMessages(),
            'readings.required' => 'No reading was typed. Give a speed, or a size and a time.',
            'readings' => 'The readings were not sent as a list of at most 50.',
            'readings.*.way' => 'Say whether this was written or read.',
            'by.required' => 'Nobody is named. Write who types this: a figure has a name behind it.',
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
                foreach ($this->readings() as $i => $reading) {
                    if ($reading->rate() === null) {
                        $validator
                            ->errors()
                            ->add("readings.{$i}.speed", 'No speed comes of this. Give a speed, or a size and a time above nothing.');
                    }
                }
                $this->checkChain($validator);
            },
        ];
    }

    /** @return list<TypedReading> */
    public function readings(): array
    {
        $readings = [];
        foreach (is_array($this->input('readings')) ? $this->input('readings') : [] as $row) {
            $readings[] = TypedReading::parse(is_array($row) ? $row : []);
        }

        return $readings;
    }
}
