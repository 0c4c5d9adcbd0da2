<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Quantity;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tally\Quantity\Span;
use Tally\Shoot\StopCause;

/** A recording that stopped, and by what. */
final class LogStop extends FormRequest
{
    use LoggedAtCamera;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $ofThatCamera = Rule::exists('camera_modes', 'id')->where('camera_id', $this->integer('camera_id'));

        return [
            ...$this->cameraRules(),
            'mode_id' => ['bail', 'nullable', 'integer', $ofThatCamera],
            'cause' => ['bail', 'required', Rule::enum(StopCause::class)],
            'after' => ['bail', 'nullable', Quantity::span()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->cameraMessages(),
            'mode_id' => 'This mode is none of that camera. Choose one of its own, or none.',
            'cause' => 'What stopped it was “:input”. Choose one of the list.',
        ];
    }

    /** @return array<string, mixed> the row, but for the card and the moment */
    public function stop(): array
    {
        $after = trim($this->string('after')->value());

        return [
            'camera_id' => $this->integer('camera_id'),
            'camera_mode_id' => $this->filled('mode_id') ? $this->integer('mode_id') : null,
            'cause' => StopCause::from($this->string('cause')->value()),
            'after' => $after === '' ? null : Span::parse($after)->seconds,
            'by' => $this->by(),
        ];
    }
}
