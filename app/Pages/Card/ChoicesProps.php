<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Kit\ChoiceProps;

/** What the label form offers. */
final readonly class ChoicesProps
{
    /**
     * @param  list<ChoiceProps>  $forms
     * @param  list<ChoiceProps>  $families
     * @param  list<ChoiceProps>  $buses
     * @param  list<ChoiceProps>  $marks
     * @param  list<ChoiceProps>  $provenances
     * @param  list<string>  $twoRowForms  forms of which some cards have a second row of contacts
     * @param  list<ChoiceProps>  $fields  all fields of a card by their headings
     */
    public function __construct(
        public array $forms,
        public array $families,
        public array $buses,
        public array $marks,
        public array $provenances,
        public array $twoRowForms,
        public array $fields,
    ) {}
}
