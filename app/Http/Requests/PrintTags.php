<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Tags\SheetKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** Which tags to print, on which sheet. */
final class PrintTags extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'cards' => ['nullable', 'string', 'max:2000'],
            'sheet' => ['nullable', Rule::enum(SheetKind::class)],
            'begin' => ['nullable', 'integer', 'min:1'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'cards' => 'The cards were not given as words of at most 2000 characters. Write tags, such as QS-014 QS-021..QS-028.',
            'sheet' => 'The sheet “:input” is not one of the list. Choose one.',
            'begin' => 'The first free label was “:input”. Give a whole number from 1 on.',
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                if ($validator->errors()->isEmpty() && $this->begin() > $this->sheet()->perSheet()) {
                    $validator
                        ->errors()
                        ->add('begin', "A sheet of this kind has {$this->sheet()->perSheet()} labels; “{$this->begin()}” was given.");
                }
            },
        ];
    }

    public function cards(): string
    {
        return $this->string('cards')->value();
    }

    public function sheet(): SheetKind
    {
        return SheetKind::tryFrom($this->string('sheet')->value()) ?? SheetKind::Middle;
    }

    /** Where on the first sheet the first tag goes, from 1: the places before it are used up already. */
    public function begin(): int
    {
        return max(1, $this->integer('begin', 1));
    }
}
