<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Kit\CameraMode;
use App\Rules\PriceText;
use App\Rules\Quantity;
use App\Shoot\FitRules;
use Illuminate\Foundation\Http\FormRequest;
use Tally\Buying\Need;
use Tally\Buying\Price;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** What cards are wanted for: a mode of a camera, or a floor; how large, how many. */
final class AskPurchase extends FormRequest
{
    private const MOST = 500;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'mode' => ['nullable', 'integer', 'exists:camera_modes,id'],
            'floor' => ['bail', 'nullable', Quantity::rate()],
            'size' => ['bail', 'nullable', Quantity::capacity()],
            'count' => ['nullable', 'integer', 'min:1', 'max:'.self::MOST],
            'reader' => ['bail', 'nullable', new PriceText(config()->string('tally.currency'))],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'mode' => 'This mode is no longer in the kit. Choose another one, or write a floor.',
            'count' => 'How many was “:input”: give a whole number from 1 to '.self::MOST.'.',
        ];
    }

    public function mode(): ?CameraMode
    {
        return $this->filled('mode') && $this->text('floor') === ''
            ? CameraMode::query()->with(['camera.slots', 'calibrations'])->find($this->integer('mode'))
            : null;
    }

    public function text(string $field): string
    {
        return trim($this->string($field)->value());
    }

    public function need(): Need
    {
        $mode = $this->mode()?->asMode();
        $typed = $this->text('floor') === '' ? null : Rate::parse($this->text('floor'));
        $writes = $mode->fill->rate ?? $typed;

        return new Need(
            $writes,
            // A floor that somebody writes is meant as it is.
            $mode === null ? $writes : Rate::bytesPerSecond($mode->fill->rate->bytesPerSecond * FitRules::now()->margin),
            $this->text('size') === '' ? Bytes::of(0) : Bytes::parse($this->text('size'), 'GB'),
            max(1, $this->integer('count', 1)),
        );
    }

    /** What a reader costs, where the house has none for a card. */
    public function reader(): ?Price
    {
        return $this->text('reader') === '' ? null : Price::parse($this->text('reader'), config()->string('tally.currency'));
    }
}
