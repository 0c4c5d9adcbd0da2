<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Cards\Card;
use App\Models\Kit\Reader;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use LogicException;
use Tally\Inspection\Answer;
use Tally\Inspection\Question;

/** What somebody saw on a card. */
final class AnswerQuestion extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'by' => ['required', 'string', 'max:80'],
            'question' => ['required', 'string'],
            'answer' => ['required', 'string'],
            'code' => ['nullable', 'string', 'max:60'],
            'reader' => ['nullable', 'string', 'max:20'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'by.required' => 'Nobody is named. Write who looks: an answer is evidence, and evidence has a name.',
            'by.max' => 'The name is longer than 80 characters. Write a shorter one.',
            'question' => 'No question was answered. Choose one of the list.',
            'answer' => 'No answer was given. Choose one of the list.',
            'code.max' => 'The code is longer than 60 characters. Type it exactly as it is on the card.',
            'reader' => 'The reader was not sent as a tag. Choose one of the list.',
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                if ($validator->errors()->isNotEmpty()) {
                    return;
                }
                $card = $this->route('card');
                $question = Question::tryFrom($this->string('question')->value());
                $answer = $question?->answer($this->string('answer')->value());
                if ($question === null || ! ($card instanceof Card) || ! $question->isAskedOf($card->form)) {
                    $validator
                        ->errors()
                        ->add('question', "“{$this->string('question')}” is not asked of this form of card. Choose one of the list.");
                } elseif ($answer === null) {
                    $validator
                        ->errors()
                        ->add('answer', "“{$this->string('answer')}” is no answer to this question. Choose one of the list.");
                } elseif ($answer->asksCode && trim($this->string('code')->value()) === '') {
                    $validator->errors()->add('code', 'No code was typed. Type it exactly as it is on the card, or choose another answer.');
                } elseif ($question->isInReader() && $this->reader() === null) {
                    $validator->errors()->add('reader', 'Say in which reader: trouble is kept for the card and for the reader.');
                }
            },
        ];
    }

    public function question(): Question
    {
        return Question::from($this->string('question')->value());
    }

    public function answer(): Answer
    {
        return $this->question()->answer($this->string('answer')->value()) ?? throw new LogicException('The answer was checked before.');
    }

    public function by(): string
    {
        return trim($this->string('by')->value());
    }

    public function code(): ?string
    {
        return $this->answer()->asksCode ? trim($this->string('code')->value()) : null;
    }

    public function reader(): ?Reader
    {
        return Reader::query()
            ->where('tag', $this->string('reader')->value())
            ->first();
    }
}
