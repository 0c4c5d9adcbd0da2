<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Intake\CardEntry;
use App\Models\Cards\Card;
use App\Pages\Card\LabelPreview;
use Illuminate\Foundation\Http\FormRequest;
use Tally\Label\Form;
use Tally\Label\Line\LabelReader;
use Tally\Label\Line\LabelReading;

/** A card that is still being typed: what cannot be read yet counts as not printed. Nothing of it is kept. */
final class PreviewLabel extends FormRequest
{
    /** @var array{string, LabelReading}|null */
    private ?array $line = null;

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

    /** @return array{string, LabelReading}|null the label's line where one is given that was not read before, and what it says */
    public function line(): ?array
    {
        $line = $this->input('line');
        if (! is_string($line) || trim($line) === '') {
            return null;
        }
        $line = mb_substr(mb_scrub($line), 0, 300);

        return $this->line ??= [$line, LabelReader::read($line)];
    }

    /** A card that is not entered yet, or the one that is being corrected, as it is typed. */
    public function card(): Card
    {
        $typed = $this->line() === null ? $this->all() : LabelPreview::filled($this->all(), $this->line()[1]);
        $columns = CardEntry::read($typed, config()->string('tally.currency'))->columns;
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
