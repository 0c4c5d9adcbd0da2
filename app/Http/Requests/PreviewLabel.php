<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Intake\CardEntry;
use App\Models\Cards\Card;
use Illuminate\Foundation\Http\FormRequest;
use Tally\Label\Form;

/** A card that is still being typed: what cannot be read yet counts as not printed. Nothing of it is kept. */
final class PreviewLabel extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['marks' => ['array', 'max:30']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['marks' => 'The marks were not sent as a list. Tick the ones that are printed.'];
    }

    /** A card that is in no book, or the one that is being corrected, as it is typed. */
    public function card(): Card
    {
        $columns = CardEntry::read($this->all(), config()->string('tally.currency'))->columns;
        $known = $this->input('card');
        $card = is_string($known) ? Card::query()->where('tag', $known)->first() ?? new Card() : new Card();
        $card->forceFill([
            ...$columns,
            'form' => $columns['form'] ?? Form::Sd,
            'capacity' => $columns['capacity'] ?? 0,
            // A family says nothing yet while there is no capacity to hold against it.
            'family' => $columns['capacity'] === null ? null : $columns['family'],
        ]);
        $card->derive();

        return $card;
    }
}
