<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Quantity;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Span;
use Tally\Shoot\Burst;
use Tally\Shoot\NotABurst;

/** A burst as somebody counted it. */
final class LogBurst extends FormRequest
{
    use LoggedAtCamera;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...$this->cameraRules(),
            'frames' => ['bail', 'required', 'integer', 'min:1', 'max:100000'],
            'frame' => ['bail', 'required', Quantity::size()],
            'per_second' => ['bail', 'required', 'numeric', 'gt:0', 'max:1000'],
            'clear' => ['bail', 'required', Quantity::span()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->cameraMessages(),
            'frames' => 'The frames were “:input”. Count them until the camera slows, at least 1.',
            'frame.required' => 'The size of a frame is empty. Write it, such as 24.6 MB.',
            'per_second' => 'The frames a second were “:input”. A number above nothing and up to 1000 would do.',
            'clear.required' => 'The time to clear is empty. Stop the watch when everything is written, or write it, such as 23 s.',
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                try {
                    $validator->errors()->isEmpty() ? $this->burst() : null;
                } catch (NotABurst|NotAQuantity $fault) {
                    $validator->errors()->add('clear', $fault->getMessage());
                }
            },
        ];
    }

    public function burst(): Burst
    {
        return Burst::logged(
            $this->integer('frames'),
            Bytes::parse($this->string('frame')->value(), 'MB'),
            $this->float('per_second'),
            Span::parse($this->string('clear')->value()),
        );
    }
}
