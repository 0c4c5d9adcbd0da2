<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Quantity;
use Illuminate\Foundation\Http\FormRequest;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Shoot\Burst;

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
            'clear' => ['bail', 'required', Quantity::span(), 'not_in:0,0 s,0s,0:00'],
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
            'clear.not_in' => 'It cleared in no time: then it never filled. Give the time from when it slowed, such as 23 s.',
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
