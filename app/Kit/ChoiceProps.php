<?php

declare(strict_types=1);

namespace App\Kit;

/** An entry of a list to choose from. */
final readonly class ChoiceProps
{
    /** @param  list<string>  $forms  the forms of card it can stand on */
    public function __construct(public string $key, public string $label, public array $forms) {}
}
