<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Rules\Quantity;
use App\Models\Slot;
use App\Models\Station;
use App\Runs\RunKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tally\Probe\SpeedRun;
use Tally\Quantity\Bytes;
use Tally\StandIn\Shelf;

/** A run as ordered on a page. */
final class OrderRun extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(RunKind::class)],
            'slot' => ['required', 'integer'],
            'size' => ['nullable', 'string', 'max:40', Quantity::size()],
            'runs' => ['nullable', 'integer', 'min:1', 'max:'.SpeedRun::MOST_RUNS],
            'stand_in' => ['nullable', Rule::enum(Shelf::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind' => 'What to run was “:input”: a speed run, a sustained run or a full proof can be ordered.',
            'slot' => 'Choose the slot that the card is in.',
            'runs' => 'The number of runs was “:input”: give a whole number from 1 to 50.',
            'size.max' => 'The size is too long to be one. Write it as 1 GB.',
            'stand_in' => 'The stand-in “:input” is not on the shelf. Choose one of the list.',
        ];
    }

    public function kind(): RunKind
    {
        return RunKind::from($this->string('kind')->value());
    }

    /** @throws ValidationException when the slot is not one of this station */
    public function slot(Station $station): Slot
    {
        return $station->slots()->with(['reader.slots', 'reader.cable', 'port.host'])->find($this->integer('slot'))
            ?? throw ValidationException::withMessages(['slot' => "This slot is not one of {$station->name}’s. Choose one of the list."]);
    }

    /** Nothing for a proof or a sustained run without a size: all there is. */
    public function size(): Bytes
    {
        $default = $this->kind() === RunKind::Speed ? '1 GB' : '0';

        return Bytes::parse($this->filled('size') ? $this->string('size')->value() : $default, 'GB');
    }

    public function runs(): int
    {
        return $this->kind() === RunKind::Speed ? $this->integer('runs', 5) : 1;
    }

    public function standIn(): ?Shelf
    {
        return Shelf::tryFrom($this->string('stand_in')->value());
    }
}
