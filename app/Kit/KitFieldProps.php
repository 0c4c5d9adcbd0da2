<?php

declare(strict_types=1);

namespace App\Kit;

/** A field of a form for gear. */
final readonly class KitFieldProps
{
    /**
     * @param  string  $control  text, figures, choice or several
     * @param  list<string>  $values  one, or several where several can be ticked
     * @param  list<ChoiceProps>  $choices
     * @param  string|null  $none  what an empty choice is called; null when there must be one
     */
    public function __construct(
        public string $name,
        public string $label,
        public string $control,
        public array $values,
        public array $choices = [],
        public string $placeholder = '',
        public ?string $none = null,
    ) {}
}
