<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Kit\Drive;
use App\Rules\Quantity;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use InvalidArgumentException;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Reading\Copy\CopyReading;
use Tally\Reading\Copy\Lap;

/** A copy that another program made, timed by hand. */
final class KeepStopwatch extends FormRequest
{
    use NamesChain;
    use SignedAndDated;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...$this->chainRules(),
            ...$this->signedRules(),
            'size' => ['required', Quantity::size()],
            'files' => ['nullable', 'integer', 'min:1', 'max:10000000'],
            'copied' => ['nullable', Quantity::span()],
            'verified' => ['nullable', Quantity::span()],
            'previews' => ['nullable', Quantity::span()],
            'drive' => ['nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->chainMessages(),
            ...$this->signedMessages(),
            'size.required' => 'How much was copied is empty. Write the size of the folder, such as 20 GB.',
            'files' => 'The number of files was “:input”: give a whole number, or leave it empty.',
            'drive' => 'The drive is not one of the list. Choose one, or none.',
            'by.required' => 'Nobody is named. Write who held the watch.',
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
                    $this->copy();
                } catch (InvalidArgumentException $fault) {
                    $validator->errors()->add('copied', $fault->getMessage());
                }
                if ($this->filled('drive') && $this->drive() === null) {
                    $validator->errors()->add('drive', 'This drive is not in the kit. Choose one of the list, or none.');
                }
                $this->checkChain($validator);
            },
        ];
    }

    /** @throws InvalidArgumentException */
    public function copy(): CopyReading
    {
        $laps = [];
        foreach (Lap::cases() as $lap) {
            if ($this->filled($lap->value)) {
                $laps[$lap->value] = Span::parse($this->string($lap->value)->value());
            }
        }

        return CopyReading::of(
            Bytes::parse($this->string('size')->value(), 'GB'),
            $this->filled('files') ? $this->integer('files') : null,
            $laps,
        );
    }

    public function drive(): ?Drive
    {
        return $this->filled('drive') ? Drive::query()->find($this->integer('drive')) : null;
    }
}
