<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Stations\Slot;
use App\Models\Stations\Station;
use App\Runs\Ordering\RunOrder;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use Tally\Record\CopyParameters;
use Tally\Record\RunKind;

/** A timed copy as ordered on a page. */
final class OrderCopy extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'slot' => ['required', 'integer'],
            'source' => ['nullable', 'string', 'max:500'],
            'into' => ['required', 'string', 'max:500'],
            'verify' => ['boolean'],
            'drive' => ['nullable', 'integer', 'exists:drives,id'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'slot' => 'Choose the slot that the card is in.',
            'source' => 'The folder to copy is longer than 500 characters. Give a folder on the card.',
            'into.required' => 'Where to copy to is empty. Give a folder on the drive, such as /media/drive.',
            'into' => 'The folder to copy to is longer than 500 characters. Give a shorter path.',
            'verify' => 'Whether to read back was “:input”: choose yes or no.',
            'drive' => 'The drive is not one of the list. Choose one, or none.',
        ];
    }

    /** @throws ValidationException when the slot is not one of this station */
    public function ordered(Station $station, ?string $by): RunOrder
    {
        $slot = $station->slot($this->integer('slot'));

        $asked = new CopyParameters($this->source($slot), $this->string('into')->value(), $this->boolean('verify'));

        return new RunOrder($slot, RunKind::Copy, $asked, by: $by, drive: $this->filled('drive') ? $this->integer('drive') : null);
    }

    /** All of the card, or a folder on it. */
    private function source(Slot $slot): string
    {
        $given = trim($this->string('source')->value());

        return match (true) {
            $given === '' => $slot->path ?? '',
            str_starts_with($given, '/') => $given,
            default => rtrim($slot->path ?? '', '/').'/'.$given,
        };
    }
}
