<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Books\Book;
use App\Books\BooksFormat;
use App\Books\Pick;
use App\Models\Cards\Card;
use App\Tags\TagPick;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tally\Verdict\VerdictKind;

/** Which books go out, as what, and of which cards and days. */
final class AskBooks extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'format' => ['bail', 'required', Rule::enum(BooksFormat::class)],
            'books' => ['nullable', 'array'],
            'books.*' => [Rule::enum(Book::class)],
            'cards' => ['nullable', 'string', 'max:2000'],
            'verdict' => ['nullable', Rule::enum(VerdictKind::class)],
            'from' => ['bail', 'nullable', 'date_format:Y-m-d'],
            'to' => ['bail', 'nullable', 'date_format:Y-m-d', 'after_or_equal:from'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'format' => '“:input” is no format. One of these would do: '.implode(', ', array_column(BooksFormat::cases(), 'value')).'.',
            'books' => 'The books were not sent as a list. Name them, or none for all.',
            'books.*' => '“:input” is no book. These are: '.implode(', ', array_column(Book::cases(), 'value')).'.',
            'cards' => 'The cards were not sent as text. Name tags, a series such as QS-014..QS-028, or a lot.',
            'verdict' => '“:input” is no verdict. One of the five would do.',
            'from' => '“:input” is no day. Write it as 2026-11-01.',
            'to.after_or_equal' => 'The last day lies before the first.',
            'to' => '“:input” is no day. Write it as 2026-11-01.',
        ];
    }

    public function as(): BooksFormat
    {
        return BooksFormat::from($this->string('format')->value());
    }

    /** @throws ValidationException where cards are named that the house does not have */
    public function pick(): Pick
    {
        $books = array_map(fn (mixed $one): Book => Book::from(is_string($one) ? $one : ''), array_values($this->array('books')));
        $picked = $this->filled('cards') ? TagPick::of($this->string('cards')->value()) : null;
        if ($picked !== null && $picked->unknown !== []) {
            throw ValidationException::withMessages([
                'cards' => '“'.implode(', ', $picked->unknown).'” is no card here. Name tags, a series such as QS-014..QS-028, or a lot.',
            ]);
        }

        return new Pick(
            $books === [] ? Book::cases() : $books,
            $picked === null ? null : array_values($picked->cards->map(fn (Card $card): int => $card->id)->all()),
            $this->filled('verdict') ? VerdictKind::from($this->string('verdict')->value()) : null,
            $this->filled('from') ? Carbon::parse($this->string('from')->value()) : null,
            to: $this->filled('to') ? Carbon::parse($this->string('to')->value()) : null,
        );
    }
}
