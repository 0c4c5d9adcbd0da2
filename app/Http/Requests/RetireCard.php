<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Ledger\Retirement;
use App\Models\Cards\Card;
use App\Rules\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;

/** Why a card goes out of service, and who says so. */
final class RetireCard extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'why' => ['bail', 'required', 'string', Text::upTo(200)],
            'by' => ['bail', 'required', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'why.required' => 'No reason is given. Write why it goes out of service, such as: worn, fell twice.',
            'why.string' => 'The reason was not sent as text. Write why it goes out of service.',
            'by.required' => 'Nobody is named. Write who takes it out.',
            'by' => 'The name is longer than 80 characters. Write a shorter one.',
        ];
    }

    /** @throws ValidationException where something keeps it in service */
    public function mustBePossible(Card $card): void
    {
        $complaint = Retirement::complaint($card);
        if ($complaint !== '') {
            throw ValidationException::withMessages(['why' => $complaint]);
        }
    }

    public function why(): string
    {
        return trim($this->string('why')->value());
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
    }
}
