<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Rules\Quantity;
use App\Intake\Day;
use App\Models\Drive;
use DateTimeImmutable;
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

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...$this->chainRules(),
            'size' => ['required', 'string', 'max:40', Quantity::size()],
            'files' => ['nullable', 'integer', 'min:1', 'max:10000000'],
            'copied' => ['nullable', 'string', 'max:40', Quantity::span()],
            'verified' => ['nullable', 'string', 'max:40', Quantity::span()],
            'previews' => ['nullable', 'string', 'max:40', Quantity::span()],
            'drive' => ['nullable', 'integer'],
            'on' => ['required', 'string', 'max:40'],
            'by' => ['required', 'string', 'max:80'],
            'note' => ['nullable', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->chainMessages(),
            'size.required' => 'How much was copied is empty. Write the size of the folder, such as 20 GB.',
            'files' => 'The number of files was “:input”: give a whole number, or leave it empty.',
            'drive' => 'The drive is not one of the list. Choose one, or none.',
            'on.required' => 'The day is empty. Write when it was, such as 2026-11-25.',
            'by.required' => 'Nobody is named. Write who held the watch.',
            'max' => 'This is longer than it can be. Shorten it.',
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
            try {
                $this->copy();
            } catch (InvalidArgumentException $fault) {
                $validator->errors()->add('copied', $fault->getMessage());
            }
            if ($this->filled('drive') && $this->drive() === null) {
                $validator->errors()->add('drive', 'This drive is in no book. Choose one of the list, or none.');
            }
            $day = $this->day();
            if ($day === null || $day > new DateTimeImmutable('tomorrow')) {
                $validator->errors()->add('on', "“{$this->string('on')}” is not a day up to today. Write it as 2026-11-25 or 25 Nov 2026.");
            }
            $this->checkChain($validator);
        }];
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

        return CopyReading::of(Bytes::parse($this->string('size')->value(), 'GB'), $this->filled('files') ? $this->integer('files') : null, $laps);
    }

    public function drive(): ?Drive
    {
        return $this->filled('drive') ? Drive::query()->find($this->integer('drive')) : null;
    }

    public function day(): ?DateTimeImmutable
    {
        return Day::read($this->string('on')->value());
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
    }
}
