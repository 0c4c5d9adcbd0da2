<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;

/** Of which days a report is wanted, and who wants it. */
final class AskReport extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'from' => ['bail', 'required', 'date_format:Y-m-d', 'after_or_equal:2000-01-01'],
            'to' => ['bail', 'required', 'date_format:Y-m-d', 'after_or_equal:from'],
            'by' => ['bail', 'required', 'string', Text::upTo(80)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'from' => '“:input” is no day that a report can begin with. Write it as 2026-01-01.',
            'to.after_or_equal' => 'The last day lies before the first.',
            'to' => '“:input” is no day. Write it as 2026-03-31.',
            'by' => 'Nobody is named. Write who asks for it.',
        ];
    }

    public function from(): Carbon
    {
        return Carbon::parse($this->string('from')->value());
    }

    public function to(): Carbon
    {
        return Carbon::parse($this->string('to')->value());
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
    }
}
